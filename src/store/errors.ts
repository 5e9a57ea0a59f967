/** A row that is not there, with the words that a person reads. */
export class NotFoundError extends Error {
  /** @param thing what is not there, in a word */
  constructor(readonly thing: string) {
    super(`There is no such ${thing}. It may have been deleted in another tab.`);
    this.name = 'NotFoundError';
  }
}

/** A save against a row that somebody changed meanwhile; carries the row as it is now. */
export class StaleError extends Error {
  readonly current: unknown;

  constructor(current: unknown) {
    super('This was changed in another tab or on another device since you opened it. Nothing was overwritten.');
    this.name = 'StaleError';
    this.current = current;
  }
}
