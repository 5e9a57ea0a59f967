/** Where a form lies: its reference point, mm. */
export interface Position {
  orientation: number;
  x: number;
  y: number;
}

/** Where every copy of every piece lies, by number; a copy that is not laid has form −1. */
export class Positions {
  readonly orientation: Int32Array;
  readonly x: Float64Array;
  readonly y: Float64Array;

  constructor(readonly count: number) {
    this.orientation = new Int32Array(count).fill(-1);
    this.x = new Float64Array(count);
    this.y = new Float64Array(count);
  }

  lay(index: number, position: Position): void {
    this.orientation[index] = position.orientation;
    this.x[index] = position.x;
    this.y[index] = position.y;
  }

  lift(index: number): void {
    this.orientation[index] = -1;
  }

  each(visit: (orientation: number, x: number, y: number) => void): void {
    for (let i = 0; i < this.count; i++) {
      if (this.orientation[i]! >= 0) visit(this.orientation[i]!, this.x[i]!, this.y[i]!);
    }
  }

  copyFrom(other: Positions): void {
    this.orientation.set(other.orientation);
    this.x.set(other.x);
    this.y.set(other.y);
  }

  clone(): Positions {
    const copy = new Positions(this.count);
    copy.copyFrom(this);
    return copy;
  }
}
