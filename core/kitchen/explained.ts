/** A reason behind a figure: a code that `say.ts` of its station turns into a sentence. */
export interface Because {
  code: string;
  params?: Record<string, string | number>;
  source?: string;
}

/** A figure that explains itself (DECISIONS 4). */
export interface Explained {
  value: number;
  unit: string;
  low?: number;
  high?: number;
  because: Because[];
}
