import type { Instant } from '#core/contract';
import type { ScaleReading } from '#core/queries';

/** A kitchen scale, whatever it hangs on: a stand-in, a cable, the air. */
export interface Scale {
  readonly name: string;
  readonly simulated: boolean;
  read(at: Instant): ScaleReading;
  /** Takes what lies on it as nothing. */
  tare(at: Instant): void;
}

/** Grams more than this and a kitchen scale says so rather than a figure. */
const capacityG = 5000;
/** A pan swings out within about two seconds. */
const swingMs = 420;
const stillMs = 1900;
/** Zero wanders by about a gram in two minutes, and no further than three. */
const driftGPerMs = 1 / 120_000;
const mostDriftG = 3;

/** The stand-in that ships with Tambo: it swings when something is put on, settles, drifts, and stops at five kilos. */
export class SimulatedScale implements Scale {
  readonly name = 'Stand-in scale';
  readonly simulated = true;
  private before = 0;
  private on = 0;
  private tareG = 0;
  private putAt = 0;
  private tareAt = 0;
  private readonly stepG: number;
  private readonly held: boolean;

  /** @param held the clock stands (for pictures): nothing swings or drifts */
  constructor(stepG: number, held = false) {
    this.stepG = stepG;
    this.held = held;
  }

  /** Puts something on it, in all; 0 takes everything off. */
  put(grams: number, at: Instant): void {
    this.before = this.on;
    this.on = grams;
    this.putAt = new Date(at).getTime();
  }

  private drift(ms: number): number {
    return this.held ? 0 : Math.min(mostDriftG, Math.max(0, ms - this.tareAt) * driftGPerMs);
  }

  tare(at: Instant): void {
    this.tareAt = new Date(at).getTime();
    this.tareG = this.on;
  }

  read(at: Instant): ScaleReading {
    const ms = new Date(at).getTime();
    const since = this.held ? stillMs : Math.max(0, ms - this.putAt);
    const swing = (this.before - this.on) * Math.exp(-since / swingMs) * Math.cos(since / 130);
    const grams = this.on - this.tareG + (since < stillMs ? swing : 0) + (this.tareAt > 0 ? this.drift(ms) : 0);
    const overload = this.on > capacityG;
    return {
      grams: overload ? 0 : Math.round(grams / this.stepG) * this.stepG,
      stable: !overload && since >= stillMs,
      overload,
      capacityG,
      stepG: this.stepG,
      tared: this.tareAt > 0,
      at,
      name: this.name,
      simulated: this.simulated,
    };
  }
}
