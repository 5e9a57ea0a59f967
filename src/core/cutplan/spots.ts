/** Where a form lies: its reference point, mm. */
export interface Spot {
  form: number;
  x: number;
  y: number;
}

/** Where every copy of every piece lies, by number; a copy that is not laid has form −1. */
export class Spots {
  readonly form: Int32Array;
  readonly x: Float64Array;
  readonly y: Float64Array;

  constructor(readonly count: number) {
    this.form = new Int32Array(count).fill(-1);
    this.x = new Float64Array(count);
    this.y = new Float64Array(count);
  }

  lay(index: number, spot: Spot): void {
    this.form[index] = spot.form;
    this.x[index] = spot.x;
    this.y[index] = spot.y;
  }

  lift(index: number): void {
    this.form[index] = -1;
  }

  each(visit: (form: number, x: number, y: number) => void): void {
    for (let i = 0; i < this.count; i++) {
      if (this.form[i]! >= 0) visit(this.form[i]!, this.x[i]!, this.y[i]!);
    }
  }

  copyFrom(other: Spots): void {
    this.form.set(other.form);
    this.x.set(other.x);
    this.y.set(other.y);
  }

  clone(): Spots {
    const copy = new Spots(this.count);
    copy.copyFrom(this);
    return copy;
  }
}
