/** Something is wrong with a file that was brought in; said in words that tell what to do. */
export class BadFile extends Error {
  readonly expected: string;
  readonly got: string;
  constructor(message: string, expected: string, got: string) {
    super(message);
    this.expected = expected;
    this.got = got;
  }
}
