import { perimeter, type Outline } from '../shape';
import { layBottomLeft, type Layable } from './bottom-left';
import type { Form } from './form';
import type { Spots } from './spots';

/** Overlaps this deep are let pass while laying and pushed apart afterwards, mm: rounding in the figures of a file. */
const ROUNDING = 1e-3;
/** Edges this close and this nearly parallel touch: mm, sine of the angle. */
const CLOSE = 0.05;
const PARALLEL = 2e-3;
/** Two edges of the same length that run against each other were most likely one cut: they count this many times. */
const ONE_CUT = 1.5;
/** How far chance may lift or lower what a place is worth. */
const CHANCE = 0.15;
/** What the height of a place counts beside the share of the outline that touches: from the one to the other. */
const LEAST_STEEP = 0.1;
const MOST_STEEP = 3;
/** Largest share of the pieces that is taken up and laid anew in one go. */
const RUINED = 0.5;

/** Comparing two edges costs about as much as looking at this many edges of a no-fit region. */
const WORK_OF_TOUCHING = 0.3;

/** A place where a form touches what lies there. */
interface Place {
  form: number;
  x: number;
  y: number;
  /** Length of the outline that touches, mm. */
  touch: number;
}

/**
 * Lays pieces edge to edge: always the one, in the place, where the largest share of its outline touches what lies there
 * or the edge of the cloth; then takes some up and lays them anew. Finds how pieces fit that were cut from one another
 * or share straight edges; where none do it is no better than any other order.
 *
 * Layouts may overlap by rounding ({@link ROUNDING}).
 */
export class EdgeToEdge {
  private readonly lengths: number[];
  private readonly total: number;

  constructor(
    private readonly spots: Spots,
    private readonly order: readonly number[],
    private readonly layable: Layable,
    private readonly width: number,
    private readonly random: () => number,
  ) {
    this.lengths = layable.forms.map(({ outline }) => perimeter(outline));
    this.total = order.reduce((sum, i) => sum + this.lengths[layable.choices[i]![0]!]!, 0);
  }

  /** Share of all outlines that touches something, edges of one cut counted more. */
  worth(): number {
    const { spots, width } = this;
    const { forms } = this.layable;
    const { form, x, y, count } = spots;
    let sum = 0;
    for (let i = 0; i < count; i++) {
      if (form[i]! < 0) continue;
      const a = forms[form[i]!]!;
      sum += touchesCloth(a, x[i]!, y[i]!, width);
      for (let j = 0; j < i; j++) if (form[j]! >= 0) sum += 2 * touching(a, x[i]!, y[i]!, forms[form[j]!]!, x[j]!, y[j]!);
    }
    return sum / this.total;
  }

  /** Takes up a piece and those nearest to it. */
  ruin(): void {
    const { spots, order, random } = this;
    const { forms } = this.layable;
    const many = 1 + Math.floor(random() * random() * RUINED * order.length);
    const middle = (i: number): [number, number] => {
      const { box } = forms[spots.form[i]!]!;
      return [spots.x[i]! + (box.minX + box.maxX) / 2, spots.y[i]! + (box.minY + box.maxY) / 2];
    };
    const [cx, cy] = middle(order[Math.floor(random() * order.length)]!);
    const near = order
      .map((i) => ({ i, far: Math.hypot(middle(i)[0] - cx, middle(i)[1] - cy) * (0.7 + 0.6 * random()) }))
      .sort((a, b) => a.far - b.far);
    for (const { i } of near.slice(0, many)) spots.lift(i);
  }

  /** Lays all pieces that do not lie yet. */
  lay(): void {
    const { spots, order, layable, width, random, lengths } = this;
    const { forms, choices, table } = layable;
    const steep = LEAST_STEEP * (MOST_STEEP / LEAST_STEEP) ** random();
    const chance = CHANCE * random();
    /** Copies that wait, by piece. */
    const waiting = new Map<number, number[]>();
    for (const i of order) {
      if (spots.form[i]! >= 0) continue;
      const { piece } = forms[choices[i]![0]!]!;
      const copies = waiting.get(piece);
      if (copies) copies.push(i);
      else waiting.set(piece, [i]);
    }
    let places: Place[] = [];
    let highest = 1;
    const offer = (form: number, x: number, y: number) => {
      const touch = this.touchAt(form, x, y);
      if (touch !== undefined) places.push({ form, x, y, touch });
    };
    const offerAt = (other: number, ox: number, oy: number) => {
      const fixed = forms[other]!;
      highest = Math.max(highest, oy + fixed.box.maxY);
      for (const [, copies] of waiting) {
        for (const form of choices[copies[0]!]!)
          alongEdges(fixed.outline, forms[form]!.outline, (dx, dy) => offer(form, ox + dx, oy + dy));
      }
    };
    for (const [, copies] of waiting) {
      for (const form of choices[copies[0]!]!) {
        const { box } = forms[form]!;
        offer(form, -box.minX, -box.minY);
        offer(form, width - box.maxX, -box.minY);
      }
    }
    spots.each(offerAt);
    while (waiting.size > 0) {
      let best: Place | undefined;
      let most = -Infinity;
      for (const place of places) {
        const top = place.y + forms[place.form]!.box.maxY;
        const worth =
          (place.touch / lengths[place.form]!) * (1 + chance * (2 * random() - 1)) -
          (steep * Math.max(0, top - highest)) / highest;
        if (worth > most) {
          most = worth;
          best = place;
        }
      }
      if (!best) {
        const next = order.find((i) => spots.form[i]! < 0)!;
        layBottomLeft(spots, [next], layable, { width, length: Infinity });
        best = { form: spots.form[next]!, x: spots.x[next]!, y: spots.y[next]!, touch: 0 };
        spots.lift(next);
      }
      const { form, x, y } = best;
      const { piece } = forms[form]!;
      const copies = waiting.get(piece)!;
      spots.lay(copies.pop()!, best);
      if (copies.length === 0) waiting.delete(piece);
      places = places.filter((place) => {
        if (!waiting.has(forms[place.form]!.piece)) return false;
        if (table.depth(form, x, y, place.form, place.x, place.y) > ROUNDING) return false;
        place.touch += touching(forms[form]!, x, y, forms[place.form]!, place.x, place.y);
        return true;
      });
      offerAt(form, x, y);
    }
  }

  /** Length that would touch there, mm; undefined where the form overlaps something or leaves the cloth. */
  private touchAt(form: number, x: number, y: number): number | undefined {
    const { spots, width } = this;
    const { forms, table } = this.layable;
    const b = forms[form]!;
    const { box } = b;
    if (x < -box.minX - ROUNDING || x > width - box.maxX + ROUNDING || y < -box.minY - ROUNDING) return undefined;
    let touch = touchesCloth(b, x, y, width);
    table.work += spots.count;
    for (let i = 0; i < spots.count; i++) {
      const other = spots.form[i]!;
      if (other < 0 || apart(forms[other]!, spots.x[i]!, spots.y[i]!, b, x, y)) continue;
      if (table.depth(other, spots.x[i]!, spots.y[i]!, form, x, y) > ROUNDING) return undefined;
      table.work += WORK_OF_TOUCHING * forms[other]!.outline.length * b.outline.length;
      touch += touching(forms[other]!, spots.x[i]!, spots.y[i]!, b, x, y);
    }
    return touch;
  }
}

/** Whether the boxes of two forms lie too far from each other to touch. */
function apart(a: Form, ax: number, ay: number, b: Form, bx: number, by: number): boolean {
  return (
    ax + a.reach.maxX < bx + b.reach.minX - CLOSE ||
    bx + b.reach.maxX < ax + a.reach.minX - CLOSE ||
    ay + a.reach.maxY < by + b.reach.minY - CLOSE ||
    by + b.reach.maxY < ay + a.reach.minY - CLOSE
  );
}

/** Length along which a form lies at the edges of the cloth, mm. */
function touchesCloth({ outline }: Form, x: number, y: number, width: number): number {
  let sum = 0;
  outline.forEach(([px, py], i) => {
    const [qx, qy] = outline[(i + 1) % outline.length]!;
    const onLeft = Math.abs(px + x) < CLOSE && Math.abs(qx + x) < CLOSE;
    const onRight = Math.abs(px + x - width) < CLOSE && Math.abs(qx + x - width) < CLOSE;
    if (onLeft || onRight) sum += Math.abs(qy - py);
    else if (Math.abs(py + y) < CLOSE && Math.abs(qy + y) < CLOSE) sum += Math.abs(qx - px);
  });
  return sum;
}

/** Length along which the edges of two forms run against each other, mm. */
function touching(a: Form, ax: number, ay: number, b: Form, bx: number, by: number): number {
  if (apart(a, ax, ay, b, bx, by)) return 0;
  let sum = 0;
  const fixed = a.outline;
  const moving = b.outline;
  const n = fixed.length;
  const m = moving.length;
  for (let i = 0; i < n; i++) {
    const [px, py] = fixed[i]!;
    const [qx, qy] = fixed[(i + 1) % n]!;
    const length = Math.hypot(qx - px, qy - py);
    const dx = (qx - px) / length;
    const dy = (qy - py) / length;
    for (let j = 0; j < m; j++) {
      const [ux, uy] = moving[j]!;
      const [vx, vy] = moving[(j + 1) % m]!;
      const ex = vx - ux;
      const ey = vy - uy;
      const along = ex * dx + ey * dy;
      if (along >= 0 || Math.abs(ex * dy - ey * dx) > -PARALLEL * along) continue;
      const fx = ux + bx - px - ax;
      const fy = uy + by - py - ay;
      if (Math.abs(fx * dy - fy * dx) > CLOSE) continue;
      const end = fx * dx + fy * dy;
      const shared = Math.min(length, end) - Math.max(0, end + along);
      if (shared > 0) sum += shared + CLOSE > length && shared + CLOSE > -along ? ONE_CUT * shared : shared;
    }
  }
  return sum;
}

/** Moves of b that lay one of its edges along one of a's, corner on corner: two for each pair that runs against each other. */
function alongEdges(a: Outline, b: Outline, visit: (dx: number, dy: number) => void): void {
  const n = a.length;
  const m = b.length;
  for (let i = 0; i < n; i++) {
    const [px, py] = a[i]!;
    const [qx, qy] = a[(i + 1) % n]!;
    const length = Math.hypot(qx - px, qy - py);
    for (let j = 0; j < m; j++) {
      const [ux, uy] = b[j]!;
      const [vx, vy] = b[(j + 1) % m]!;
      const along = ((vx - ux) * (qx - px) + (vy - uy) * (qy - py)) / length;
      if (along >= 0 || Math.abs((vx - ux) * (qy - py) - (vy - uy) * (qx - px)) > -PARALLEL * along * length) continue;
      visit(qx - ux, qy - uy);
      if (Math.abs(length + along) > CLOSE) visit(px - vx, py - vy);
    }
  }
}
