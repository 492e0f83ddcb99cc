/** Keeps what was made last, until something that it stands on is another. */
export class Kept<T> {
  private stoodOn: readonly unknown[] = [];
  private made: { it: T } | undefined;

  /** `standsOn` are compared by identity, in their order. */
  get(standsOn: readonly unknown[], make: () => T): T {
    const same = standsOn.length === this.stoodOn.length && standsOn.every((v, i) => v === this.stoodOn[i]);
    if (!this.made || !same) this.made = { it: make() };
    this.stoodOn = standsOn;
    return this.made.it;
  }
}
