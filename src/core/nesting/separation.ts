import type { Orientation } from './orientation';
import type { Laying } from './laying';
import type { NoFitTable } from './no-fit';
import { Pairs, TOUCHING } from './pairs';
import { clamp, PlacementOptions, type PlacementOption } from './placement-options';
import type { WayOut } from './no-fit-regions';
import type { Position, Positions } from './positions';

/** Places that are looked at for one piece: anywhere on the cloth, and near where it lies. */
const ANYWHERE = 8;
const NEARBY = 5;
/** How far from where a piece lies is nearby, as a share of its size. */
const NEAR = 0.5;
/** What a piece that is as long as the cloth may be longer by, mm. */
const ROUNDING = 1e-9;
/** Overlaps below this depth are overshot by a tenth, mm. */
const OVERSHOOT = 1e-3;
/** How often overlaps are pushed apart together, and how often without gain before that is given up. */
const SETTLINGS = 120;
const IDLE_SETTLINGS = 20;
/** Others that a piece which overlaps tries to change places with, a round. */
const EXCHANGES = 4;
/** Pieces whose boxes differ more in area than this do not change places. */
const UNLIKE = 4;
/** Where another lay, overlaps may sum to so many times what the two had before, ere a piece looks about there. */
const HOPEFUL = 6;

/**
 * Moves pieces until none overlap, within a fixed length. Guided local search: every pair of pieces carries a
 * weight, a piece moves to where its weighted overlaps are least, and pairs that keep overlapping grow heavier until
 * one of them gives way. An overlap is measured by the shortest way out of it.
 */
export class Separation {
  private readonly out: WayOut = { depth: 0, dx: 0, dy: 0 };
  private readonly pairs: Pairs;
  private readonly places: PlacementOptions;

  private readonly orientations: readonly Orientation[];
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
    private readonly positions: Positions,
    length: number,
    private readonly random: () => number,
  ) {
    const { orientations, table, choices, movable, width } = laying;
    this.orientations = orientations;
    this.table = table;
    this.choices = choices;
    this.movable = movable;
    this.width = width;
    this.pairs = new Pairs(laying, positions);
    this.places = new PlacementOptions(laying, positions, this.pairs, length);
  }

  /** Length of the cloth that may be used, mm. */
  get length(): number {
    return this.places.length;
  }

  set length(length: number) {
    this.places.length = length;
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
    const { orientation } = this.positions;
    for (let i = 0; i < this.movable; i++) {
      if (orientation[i]! < 0) continue;
      // A position that is too long for what is left has to be given up at once.
      if (!this.isShortEnough(orientation[i]!))
        orientation[i] = this.choices[i]!.find((f) => this.isShortEnough(f)) ?? orientation[i]!;
      this.shift(i, 0, 0);
    }
    this.measure();
  }

  /** One round: every piece that overlaps looks for a better place, or for another to change places with; then weights follow. */
  round(): void {
    const order: number[] = [];
    for (let i = 0; i < this.movable; i++) if (this.positions.orientation[i]! >= 0 && this.pairs.overlaps(i)) order.push(i);
    shuffle(order, this.random);
    for (const i of order) {
      this.replace(i);
      for (let k = 0; k < EXCHANGES; k++) this.exchange(i, Math.floor(this.random() * this.movable));
    }
    this.pairs.measureMoved();
    this.pairs.reweigh();
  }

  /**
   * Pushes all pairs that still overlap a little apart, both by half, until none does or the sum stops falling: what
   * moving one piece at a time does slowly where several wedge each other. Projection onto each constraint in turn,
   * somewhat overshooting.
   */
  settle(): void {
    const { orientation, x, y, count } = this.positions;
    const { out } = this;
    let best = this.total;
    let idle = 0;
    for (let k = 0; k < SETTLINGS && this.total > TOUCHING && idle < IDLE_SETTLINGS; k++) {
      for (let i = 0; i < count; i++) {
        for (let j = i + 1; j < count; j++) {
          if (
            (this.pairs.depths[i * count + j]! === 0 && k % 4 > 0) ||
            orientation[i]! < 0 ||
            orientation[j]! < 0 ||
            i >= this.movable
          )
            continue;
          if (this.pairs.areApart(i, j)) continue;
          this.table.wayOut(orientation[i]!, x[i]!, y[i]!, orientation[j]!, x[j]!, y[j]!, out);
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
    const { box } = this.orientations[f]!;
    return box.maxY - box.minY <= this.length + ROUNDING;
  }

  private shift(i: number, dx: number, dy: number): void {
    const { x, y, orientation } = this.positions;
    const { box } = this.orientations[orientation[i]!]!;
    x[i] = clamp(x[i]! + dx, -box.minX, this.width - box.maxX);
    y[i] = clamp(y[i]! + dy, -box.minY, this.length - box.maxY);
    this.pairs.update(i);
  }

  private lay(i: number, position: Position): void {
    this.positions.lay(i, position);
    this.pairs.update(i);
  }

  /** Looks for the place of least weighted overlap for one piece and moves it there. */
  private replace(i: number): void {
    const { positions, random } = this;
    const own = this.choices[i]!;
    const nowForm = positions.orientation[i]!;
    const nowX = positions.x[i]!;
    const nowY = positions.y[i]!;
    const now: PlacementOption = {
      orientation: nowForm,
      x: nowX,
      y: nowY,
      cost: this.places.cost(i, nowForm, nowX, nowY, Infinity),
    };
    const other: PlacementOption = { orientation: nowForm, x: nowX, y: nowY, cost: Infinity };
    const look = (f: number, px: number, py: number) => {
      if (!this.isShortEnough(f)) return;
      const cost = this.places.cost(i, f, px, py, other.cost);
      if (cost >= other.cost) return;
      other.orientation = f;
      other.x = px;
      other.y = py;
      other.cost = cost;
    };
    for (let k = 0; k < ANYWHERE && other.cost > 0; k++) {
      const f = own[Math.floor(random() * own.length)]!;
      const { box } = this.orientations[f]!;
      look(
        f,
        -box.minX + random() * (this.width - box.maxX + box.minX),
        -box.minY + random() * (this.length - box.maxY + box.minY),
      );
    }
    const { box: nowBox } = this.orientations[nowForm]!;
    const middleX = nowX + (nowBox.minX + nowBox.maxX) / 2;
    const middleY = nowY + (nowBox.minY + nowBox.maxY) / 2;
    const reachX = NEAR * (nowBox.maxX - nowBox.minX);
    const reachY = NEAR * (nowBox.maxY - nowBox.minY);
    for (let k = 0; k < NEARBY && other.cost > 0; k++) {
      const f = own[Math.floor(random() * own.length)]!;
      const { box } = this.orientations[f]!;
      look(
        f,
        clamp(middleX - (box.minX + box.maxX) / 2 + (2 * random() - 1) * reachX, -box.minX, this.width - box.maxX),
        clamp(middleY - (box.minY + box.maxY) / 2 + (2 * random() - 1) * reachY, -box.minY, this.length - box.maxY),
      );
    }
    this.places.descend(i, now);
    if (now.cost > 0) this.places.descend(i, other);
    const best = now.cost <= other.cost ? now : other;
    if (best.cost > 0) this.places.stepOut(i, best);
    if (best.orientation !== nowForm || best.x !== nowX || best.y !== nowY) this.lay(i, best);
  }

  /**
   * Two pieces change places, middle for middle and each in any of its forms, and each looks about there, where that lessens
   * the weighted overlaps of both: what moving one at a time cannot do as long as the other is in the way.
   */
  private exchange(i: number, j: number): void {
    const { orientation, x, y } = this.positions;
    if (j === i || orientation[j]! < 0) return;
    const a = this.orientations[orientation[i]!]!;
    const b = this.orientations[orientation[j]!]!;
    const ratio = boxArea(a) / boxArea(b);
    if (a.piece === b.piece || ratio > UNLIKE || ratio < 1 / UNLIKE) return;
    const { places } = this;
    const first: PlacementOption = { orientation: orientation[i]!, x: x[i]!, y: y[i]!, cost: 0 };
    const second: PlacementOption = { orientation: orientation[j]!, x: x[j]!, y: y[j]!, cost: 0 };
    const own = places.cost(i, first.orientation, first.x, first.y, Infinity);
    if (own === 0) return;
    const before = own + places.cost(j, second.orientation, second.x, second.y, Infinity) - this.weighted(i, j);
    const there = this.centred(i, second);
    const back = this.centred(j, first);
    if (!there || !back) return;
    this.lay(j, back);
    there.cost = places.cost(i, there.orientation, there.x, there.y, HOPEFUL * before);
    if (there.cost < HOPEFUL * before) {
      places.descend(i, there);
      if (there.cost < before) {
        this.lay(i, there);
        back.cost = places.cost(j, back.orientation, back.x, back.y, HOPEFUL * before);
        places.descend(j, back);
        this.lay(j, back);
        const after = places.cost(i, there.orientation, there.x, there.y, Infinity) + back.cost - this.weighted(i, j);
        if (after < before) return;
      }
    }
    this.lay(i, first);
    this.lay(j, second);
  }

  /** Any form of a piece with its middle where another place has its own; undefined when it is too long. */
  private centred(i: number, { orientation, x, y }: PlacementOption): PlacementOption | undefined {
    const own = this.choices[i]!;
    const f = own[Math.floor(this.random() * own.length)]!;
    if (!this.isShortEnough(f)) return undefined;
    const { box } = this.orientations[f]!;
    const { box: other } = this.orientations[orientation]!;
    const middleX = x + (other.minX + other.maxX - box.minX - box.maxX) / 2;
    const middleY = y + (other.minY + other.maxY - box.minY - box.maxY) / 2;
    return {
      orientation: f,
      x: clamp(middleX, -box.minX, this.width - box.maxX),
      y: clamp(middleY, -box.minY, this.length - box.maxY),
      cost: Infinity,
    };
  }

  /** Weighted overlap of two pieces where they lie. */
  private weighted(i: number, j: number): number {
    const { orientation, x, y, count } = this.positions;
    if (this.pairs.areApart(i, j)) return 0;
    return this.table.depth(orientation[j]!, x[j]!, y[j]!, orientation[i]!, x[i]!, y[i]!) * this.pairs.weights[i * count + j]!;
  }
}

function shuffle(list: number[], random: () => number): void {
  for (let i = list.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1));
    const held = list[i]!;
    list[i] = list[k]!;
    list[k] = held;
  }
}

function boxArea({ box }: Orientation): number {
  return (box.maxX - box.minX) * (box.maxY - box.minY);
}
