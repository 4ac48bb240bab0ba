import { ulid } from 'ulid';
import type { Act } from '#core/commands';
import type { WritableOf, WritableTable } from '#core/contract';
import { addMs } from '#core/kitchen';
import { randomFrom, type Random } from '#core/solve';
import type { Db } from '../db/index.ts';
import { acceptEvents } from '../events/index.ts';
import { giveCodes } from '../pack/routes.ts';
import { acceptWrite } from '../writes/index.ts';

/** A household's tablet: it sends what a user's clicks send, through the same doors, with its own clock of the story. */
export class DemoClient {
  readonly random: Random;
  private counter = 0;
  private last: string;
  private readonly device: string;
  private readonly db: Db;

  constructor(db: Db, seed: number, from: string, device = 'tablet') {
    this.db = db;
    this.device = device;
    this.random = randomFrom(seed);
    this.last = from;
  }

  id(): string {
    return ulid(new Date(this.last).getTime(), this.random);
  }

  /** Later than anything sent before, as a real device's clock is. */
  private instant(at: string): string {
    this.last = at > this.last ? at : addMs(this.last, 1);
    return this.last;
  }

  log(at: string, { type, subjects, data }: Act): string {
    const instant = this.instant(at);
    const id = this.id();
    this.counter += 1;
    const [answer] = acceptEvents(
      this.db,
      [{ id, type, subjects, instant, device: this.device, counter: this.counter, version: 1, data }],
      instant,
    );
    if (answer?.status === 'refused') throw new Error(`demo: ${type} refused: ${JSON.stringify(answer.refusals)}`);
    return id;
  }

  write(
    at: string,
    label: string,
    changes: { [T in WritableTable]: { table: T; id: string; data: WritableOf<T> } }[WritableTable][],
  ): void {
    const instant = this.instant(at);
    const answer = acceptWrite(this.db, { writeId: this.id(), device: this.device, instant, label, changes }, instant);
    if (answer.status !== 200) throw new Error(`demo: "${label}" refused: ${JSON.stringify(answer.body)}`);
  }

  codes(at: string, count: number): string[] {
    return giveCodes(this.db, count, this.device, at);
  }
}
