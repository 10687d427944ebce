/**
 * Choices that a program makes by how much of each food there is: which lot gives its shape, whether a mix is dough. Each
 * remembers how near it was: while no mass changes by more, the program holds as it is.
 */
export class Decisions {
  /** Least distance of any choice from its turning point, as a logarithm of the ratio of its two sides. */
  slack = Number.POSITIVE_INFINITY

  /** Whether one amount is larger than another. */
  larger(value: number, than: number): boolean {
    if (value > 0 && than > 0) this.slack = Math.min(this.slack, Math.abs(Math.log(value / than)))
    return value > than
  }
}
