/**
 * Judges a layout without any of the code that made it: polygons are cut into triangles by clipping ears, and
 * overlaps are summed over pairs of triangles.
 */
type P = readonly [number, number];
type Shape = readonly P[];

export interface JudgedPiece {
  id: string;
  outline: Shape;
  count: number;
  rotations: readonly number[];
  flip?: boolean | undefined;
}
export interface JudgedPlan {
  length: number;
  density: number;
  placements: readonly { id: string; copy: number; rotation: number; flipped: boolean; x: number; y: number }[];
  unplaced: readonly { id: string; copy: number }[];
}

/** Overlap that is no overlap, mm², and other rounding, mm. */
const OVERLAP = 0.5;
const ROUNDING = 1e-6;
/** A gap may be short by this, mm. */
const GAP_ROUNDING = 1e-3;

/** Everything that is wrong with a layout, in words; an empty list when it holds. */
export function judge(width: number, gap: number, pieces: readonly JudgedPiece[], plan: JudgedPlan): string[] {
  const faults: string[] = [];
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const seen = new Set<string>();
  for (const { id, copy } of [...plan.placements, ...plan.unplaced]) {
    const key = `${id}/${copy}`;
    if (seen.has(key)) faults.push(`${key} is there twice`);
    seen.add(key);
  }
  const due = pieces.reduce((sum, { count }) => sum + count, 0);
  if (seen.size !== due) faults.push(`${seen.size} copies instead of ${due}`);

  const laid = plan.placements.map((placement) => {
    const piece = byId.get(placement.id)!;
    const name = `${placement.id}/${placement.copy}`;
    if (placement.copy < 0 || placement.copy >= piece.count) faults.push(`${name} has no such copy`);
    if (!piece.rotations.includes(placement.rotation)) faults.push(`${name} is turned by ${placement.rotation}`);
    if (placement.flipped && !piece.flip) faults.push(`${name} lies face down`);
    const turn = (placement.rotation * Math.PI) / 180;
    const outline = piece.outline.map(([px, py]): P => {
      const fx = placement.flipped ? -px : px;
      return [fx * Math.cos(turn) - py * Math.sin(turn) + placement.x, fx * Math.sin(turn) + py * Math.cos(turn) + placement.y];
    });
    for (const [x, y] of outline) {
      if (!(x >= -ROUNDING && x <= width + ROUNDING)) faults.push(`${name} leaves the strip at x ${x}`);
      if (!(y >= -ROUNDING && y <= plan.length + ROUNDING)) faults.push(`${name} leaves the strip at y ${y}`);
    }
    return { name, outline, triangles: triangles(outline) };
  });
  for (let i = 0; i < laid.length; i++) {
    for (let j = i + 1; j < laid.length; j++) {
      const a = laid[i]!;
      const b = laid[j]!;
      const area = overlapArea(a.triangles, b.triangles);
      if (area > OVERLAP) faults.push(`${a.name} and ${b.name} overlap by ${area.toFixed(2)} mm²`);
      else if (gap > 0 && distance(a.outline, b.outline) < gap - GAP_ROUNDING)
        faults.push(`${a.name} and ${b.name} lie ${distance(a.outline, b.outline).toFixed(3)} mm apart`);
    }
  }
  const top = Math.max(0, ...laid.flatMap(({ outline }) => outline.map(([, y]) => y)));
  if (Math.abs(top - plan.length) > ROUNDING) faults.push(`length is ${top}, not ${plan.length}`);
  const area = laid.reduce((sum, { outline }) => sum + Math.abs(shoelace(outline)), 0);
  const density = top > 0 ? area / (width * top) : 0;
  if (Math.abs(density - plan.density) > 1e-9) faults.push(`density is ${density}, not ${plan.density}`);
  return faults;
}

function shoelace(shape: Shape): number {
  return (
    shape.reduce((sum, [x, y], i) => {
      const [nx, ny] = shape[(i + 1) % shape.length]!;
      return sum + x * ny - nx * y;
    }, 0) / 2
  );
}

function side(a: P, b: P, c: P): number {
  return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
}

/** Ears clipped one after the other. */
export function triangles(shape: Shape): Shape[] {
  const rest = shoelace(shape) < 0 ? [...shape].reverse() : [...shape];
  const found: Shape[] = [];
  while (rest.length > 3) {
    const n = rest.length;
    let ear = -1;
    for (let i = 0; i < n && ear < 0; i++) {
      const [a, b, c] = [rest[(i + n - 1) % n]!, rest[i]!, rest[(i + 1) % n]!];
      if (side(a, b, c) <= 0) continue;
      const inside = rest.some(
        (p) => p !== a && p !== b && p !== c && side(a, b, p) >= 0 && side(b, c, p) >= 0 && side(c, a, p) >= 0,
      );
      if (!inside) ear = i;
    }
    // Only flat corners are left to choose from.
    if (ear < 0) ear = rest.findIndex((b, i) => side(rest[(i + n - 1) % n]!, b, rest[(i + 1) % n]!) >= 0);
    if (ear < 0) ear = 0;
    found.push([rest[(ear + n - 1) % n]!, rest[ear]!, rest[(ear + 1) % n]!]);
    rest.splice(ear, 1);
  }
  return [...found, rest];
}

function overlapArea(a: Shape[], b: Shape[]): number {
  let sum = 0;
  for (const p of a) {
    for (const q of b) {
      if (apart(p, q, 0) || apart(p, q, 1)) continue;
      sum += Math.abs(shoelace(clip(p, q)));
    }
  }
  return sum;
}

function apart(p: Shape, q: Shape, axis: 0 | 1): boolean {
  const pa = p.map((v) => v[axis]);
  const qa = q.map((v) => v[axis]);
  return Math.max(...pa) <= Math.min(...qa) || Math.max(...qa) <= Math.min(...pa);
}

/** What two triangles, counter-clockwise, have in common: one is cut by each edge of the other. */
function clip(p: Shape, q: Shape): Shape {
  let kept: P[] = [...p];
  q.forEach((a, i) => {
    const b = q[(i + 1) % q.length]!;
    const was = kept;
    kept = [];
    was.forEach((u, k) => {
      const v = was[(k + 1) % was.length]!;
      const su = side(a, b, u);
      const sv = side(a, b, v);
      if (su >= 0) kept.push(u);
      if (su * sv < 0) kept.push([u[0] + (su / (su - sv)) * (v[0] - u[0]), u[1] + (su / (su - sv)) * (v[1] - u[1])]);
    });
  });
  return kept.length > 2 ? kept : [[0, 0]];
}

/** Least distance between two outlines that do not overlap. */
export function distance(a: Shape, b: Shape): number {
  let least = Infinity;
  const look = (shape: Shape, other: Shape) => {
    for (const p of shape) other.forEach((u, i) => (least = Math.min(least, toEdge(p, u, other[(i + 1) % other.length]!))));
  };
  look(a, b);
  look(b, a);
  return least;
}

function toEdge(p: P, a: P, b: P): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const t = Math.max(0, Math.min(1, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy);
}
