import type { Form } from './form';
import type { Laying } from './laying';
import type { NoFitTable } from './no-fit';
import { Pairs, TOUCHING } from './pairs';
import type { WayOut } from './regions';
import type { Spot, Spots } from './spots';

/** Places that are looked at for one piece: anywhere on the cloth, and near where it lies. */
const ANYWHERE = 8;
const NEARBY = 5;
/** How far from where a piece lies is nearby, as a share of its size. */
const NEAR = 0.5;
/** How often the direction changes when a place is followed along, across, along. */
const ALTERNATIONS = 4;
/** What a piece that is as long as the cloth may be longer by, mm. */
const ROUNDING = 1e-9;
/** Overlaps below this depth are overshot by a tenth, mm. */
const OVERSHOOT = 1e-3;
/** How often overlaps are pushed apart together, and how often without gain before that is given up. */
const SETTLINGS = 120;
const IDLE_SETTLINGS = 20;
/** Steps straight out of the deepest overlap of one piece. */
const STEPS_OUT = 10;

/**
 * Moves pieces until none overlap, within a fixed length. Guided local search: every pair of pieces carries a
 * weight, a piece moves to where its weighted overlaps are least, and pairs that keep overlapping grow heavier until
 * one of them gives way. An overlap is measured by the shortest way out of it.
 */
export class Separation {
  private readonly out: WayOut = { depth: 0, dx: 0, dy: 0 };
  private readonly pairs: Pairs;

  private readonly forms: readonly Form[];
  private readonly table: NoFitTable;
  private readonly choices: readonly Int32Array[];
  private readonly movable: number;
  private readonly width: number;

  /**
   * @param spots moved in place; what the laying keeps still stays
   * @param length of the cloth that may be used, mm; may be changed before a start
   */
  constructor(
    laying: Laying,
    private readonly spots: Spots,
    public length: number,
    private readonly random: () => number,
  ) {
    const { forms, table, choices, movable, width } = laying;
    this.forms = forms;
    this.table = table;
    this.choices = choices;
    this.movable = movable;
    this.width = width;
    this.pairs = new Pairs(laying, spots);
  }

  /** Sum of all depths after the last round, mm. */
  get total(): number {
    return this.pairs.total;
  }

  /** Depth of every pair anew, after spots were changed from outside. */
  measure(): void {
    this.pairs.measure();
  }

  /** Begins anew: forgets what was learnt about pairs and brings every piece onto the cloth. */
  start(): void {
    this.pairs.forget();
    const { form } = this.spots;
    for (let i = 0; i < this.movable; i++) {
      if (form[i]! < 0) continue;
      // A position that is too long for what is left has to be given up at once.
      if (!this.isShortEnough(form[i]!)) form[i] = this.choices[i]!.find((f) => this.isShortEnough(f)) ?? form[i]!;
      this.shift(i, 0, 0);
    }
    this.measure();
  }

  /** One round: every piece that overlaps looks for a better place, then weights follow. */
  round(): void {
    const order: number[] = [];
    for (let i = 0; i < this.movable; i++) if (this.spots.form[i]! >= 0 && this.pairs.overlaps(i)) order.push(i);
    shuffle(order, this.random);
    for (const i of order) this.replace(i);
    this.pairs.measureMoved();
    this.pairs.reweigh();
  }

  /**
   * Pushes all pairs that still overlap a little apart, both by half, until none does or the sum stops falling: what
   * moving one piece at a time does slowly where several wedge each other. Projection onto each constraint in turn,
   * somewhat overshooting.
   */
  settle(): void {
    const { form, x, y, count } = this.spots;
    const { out } = this;
    let best = this.total;
    let idle = 0;
    for (let k = 0; k < SETTLINGS && this.total > TOUCHING && idle < IDLE_SETTLINGS; k++) {
      for (let i = 0; i < count; i++) {
        for (let j = i + 1; j < count; j++) {
          if ((this.pairs.depths[i * count + j]! === 0 && k % 4 > 0) || form[i]! < 0 || form[j]! < 0 || i >= this.movable)
            continue;
          if (this.pairs.areApart(i, j)) continue;
          this.table.wayOut(form[i]!, x[i]!, y[i]!, form[j]!, x[j]!, y[j]!, out);
          if (out.depth === 0) continue;
          const both = j < this.movable;
          // Tiny overlaps overshoot by a tenth: halving them for ever would never end.
          const share = (both ? 0.5 : 1) * (1 + 0.1 * Math.min(1, OVERSHOOT / out.depth));
          if (both) this.shift(j, share * out.dx, share * out.dy);
          this.shift(i, -share * out.dx, -share * out.dy);
        }
      }
      this.pairs.measureMoved();
      if (this.total < 0.9 * best) {
        best = this.total;
        idle = 0;
      } else idle++;
    }
  }

  private isShortEnough(f: number): boolean {
    const { box } = this.forms[f]!;
    return box.maxY - box.minY <= this.length + ROUNDING;
  }

  private shift(i: number, dx: number, dy: number): void {
    const { x, y, form } = this.spots;
    const { box } = this.forms[form[i]!]!;
    x[i] = clamp(x[i]! + dx, -box.minX, this.width - box.maxX);
    y[i] = clamp(y[i]! + dy, -box.minY, this.length - box.maxY);
    this.pairs.update(i);
  }

  private lay(i: number, spot: Spot): void {
    this.spots.lay(i, spot);
    this.pairs.update(i);
  }

  /** Weighted overlap of a piece in this place; stops counting at `bound`. */
  private cost(i: number, f: number, px: number, py: number, bound: number): number {
    const { form, x, y, count } = this.spots;
    const { table } = this;
    const { boxes, weights } = this.pairs;
    const { reach } = this.forms[f]!;
    const left = px + reach.minX;
    const low = py + reach.minY;
    const right = px + reach.maxX;
    const high = py + reach.maxY;
    const row = i * count;
    let sum = 0;
    table.work += 0.3 * count;
    for (let j = 0, k = 0; j < count; j++, k += 4) {
      if (boxes[k]! >= right || boxes[k + 2]! <= left || boxes[k + 1]! >= high || boxes[k + 3]! <= low || j === i) continue;
      const depth = table.depth(form[j]!, x[j]!, y[j]!, f, px, py);
      if (depth > 0) {
        sum += depth * weights[row + j]!;
        if (sum >= bound) return sum;
      }
    }
    return sum;
  }

  /** Looks for the place of least weighted overlap for one piece and moves it there. */
  private replace(i: number): void {
    const { spots, random } = this;
    const own = this.choices[i]!;
    const nowForm = spots.form[i]!;
    const nowX = spots.x[i]!;
    const nowY = spots.y[i]!;
    const now: Candidate = { form: nowForm, x: nowX, y: nowY, cost: this.cost(i, nowForm, nowX, nowY, Infinity) };
    const other: Candidate = { form: nowForm, x: nowX, y: nowY, cost: Infinity };
    const look = (f: number, px: number, py: number) => {
      if (!this.isShortEnough(f)) return;
      const cost = this.cost(i, f, px, py, other.cost);
      if (cost >= other.cost) return;
      other.form = f;
      other.x = px;
      other.y = py;
      other.cost = cost;
    };
    for (let k = 0; k < ANYWHERE && other.cost > 0; k++) {
      const f = own[Math.floor(random() * own.length)]!;
      const { box } = this.forms[f]!;
      look(
        f,
        -box.minX + random() * (this.width - box.maxX + box.minX),
        -box.minY + random() * (this.length - box.maxY + box.minY),
      );
    }
    const { box: nowBox } = this.forms[nowForm]!;
    const middleX = nowX + (nowBox.minX + nowBox.maxX) / 2;
    const middleY = nowY + (nowBox.minY + nowBox.maxY) / 2;
    const reachX = NEAR * (nowBox.maxX - nowBox.minX);
    const reachY = NEAR * (nowBox.maxY - nowBox.minY);
    for (let k = 0; k < NEARBY && other.cost > 0; k++) {
      const f = own[Math.floor(random() * own.length)]!;
      const { box } = this.forms[f]!;
      look(
        f,
        clamp(middleX - (box.minX + box.maxX) / 2 + (2 * random() - 1) * reachX, -box.minX, this.width - box.maxX),
        clamp(middleY - (box.minY + box.maxY) / 2 + (2 * random() - 1) * reachY, -box.minY, this.length - box.maxY),
      );
    }
    this.descend(i, now);
    if (now.cost > 0) this.descend(i, other);
    const best = now.cost <= other.cost ? now : other;
    if (best.cost > 0) this.stepOut(i, best);
    if (best.form !== nowForm || best.x !== nowX || best.y !== nowY) this.lay(i, best);
  }

  /** Goes to the best place along, then across, in turn, as long as that helps. */
  private descend(i: number, from: Candidate): void {
    let stuck = 0;
    for (let k = 0; k < ALTERNATIONS && from.cost > 0 && stuck < 2; k++) {
      const axis = k % 2 === 0 ? 0 : 1;
      const at = this.bestAlong(i, from.form, axis, axis === 0 ? from.y : from.x);
      const px = axis === 0 ? at : from.x;
      const py = axis === 0 ? from.y : at;
      const cost = this.cost(i, from.form, px, py, from.cost);
      if (cost < from.cost) {
        from.x = px;
        from.y = py;
        from.cost = cost;
        stuck = 0;
      } else stuck++;
    }
  }

  /**
   * Best place for a form on a line along x (axis 0) at height `at`, or along y (axis 1): where the weighted ways out
   * along that line sum to the least. Between two ends of no-fit stretches that sum is concave, so only ends are asked.
   */
  private bestAlong(i: number, f: number, axis: 0 | 1, at: number): number {
    const { form, x, y, count } = this.spots;
    const { table } = this;
    const { boxes, weights } = this.pairs;
    const { box, reach } = this.forms[f]!;
    const low = axis === 0 ? -box.minX : -box.minY;
    const high = axis === 0 ? this.width - box.maxX : this.length - box.maxY;
    const from = at + (axis === 0 ? reach.minY : reach.minX);
    const to = at + (axis === 0 ? reach.maxY : reach.maxX);
    const { stretches } = table;
    let n = 0;
    for (let j = 0, b = axis === 0 ? 1 : 0; j < count; j++, b += 4) {
      if (boxes[b]! >= to || boxes[b + 2]! <= from || j === i) continue;
      const offset = axis === 0 ? x[j]! : y[j]!;
      const line = at - (axis === 0 ? y[j]! : x[j]!);
      n = table.stretchesOn(form[j]!, f, axis, line, offset, weights[i * count + j]!, n);
    }
    table.work += 0.3 * count + n * n * 0.3;
    let best = low;
    let least = Infinity;
    for (let c = -2; c < 2 * n; c++) {
      const p = c === -2 ? low : c === -1 ? high : stretches[3 * (c >> 1) + (c & 1)]!;
      if (p < low || p > high) continue;
      let sum = 0;
      for (let k = 0; k < 3 * n; k += 3) {
        const before = p - stretches[k]!;
        const after = stretches[k + 1]! - p;
        const way = before < after ? before : after;
        if (way > 0) {
          sum += way * stretches[k + 2]!;
          if (sum >= least) break;
        }
      }
      if (sum < least) {
        least = sum;
        best = p;
        if (sum === 0 && c >= 0) break;
      }
    }
    return best;
  }

  /** Leaves the deepest overlap by its shortest way, again and again, as long as that helps. */
  private stepOut(i: number, from: Candidate): void {
    const { form, x, y, count } = this.spots;
    const { boxes } = this.pairs;
    const { box, reach } = this.forms[from.form]!;
    let px = from.x;
    let py = from.y;
    for (let k = 0; k < STEPS_OUT && from.cost > 0; k++) {
      let deepest = 0;
      let dx = 0;
      let dy = 0;
      for (let j = 0, b = 0; j < count; j++, b += 4) {
        const apart =
          boxes[b]! >= px + reach.maxX ||
          boxes[b + 2]! <= px + reach.minX ||
          boxes[b + 1]! >= py + reach.maxY ||
          boxes[b + 3]! <= py + reach.minY;
        if (apart || j === i) continue;
        this.table.wayOut(form[j]!, x[j]!, y[j]!, from.form, px, py, this.out);
        const weighted = this.out.depth * this.pairs.weights[i * count + j]!;
        if (weighted > deepest) {
          deepest = weighted;
          dx = this.out.dx;
          dy = this.out.dy;
        }
      }
      if (deepest === 0) break;
      px = clamp(px + dx, -box.minX, this.width - box.maxX);
      py = clamp(py + dy, -box.minY, this.length - box.maxY);
      const cost = this.cost(i, from.form, px, py, from.cost);
      if (cost < from.cost) {
        from.x = px;
        from.y = py;
        from.cost = cost;
      }
    }
  }
}

interface Candidate {
  form: number;
  x: number;
  y: number;
  cost: number;
}

function clamp(value: number, low: number, high: number): number {
  return value < low ? low : value > high ? high : value;
}

function shuffle(list: number[], random: () => number): void {
  for (let i = list.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1));
    const held = list[i]!;
    list[i] = list[k]!;
    list[k] = held;
  }
}
