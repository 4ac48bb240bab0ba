/** A step of a labelled method. */
export interface LabelledStep {
  /** Words of the text that only this step holds. */
  at: string;
  /** Letters of the lines it takes, `a` the first; a share behind a colon (`c:0.5`), `c:?` when it is open. */
  takes?: string;
  /** Minutes of hands, and by itself, at the written size. Absent: nothing fair can be said. */
  hands?: number;
  wait?: number;
  /** It belongs to the day of eating. */
  serve?: true;
  /** It belongs to a day before. */
  eve?: true;
}

/** A method with what a cook who knows it says of it: written before the reader, so that the reader can be held to it. */
export interface LabelledMethod {
  name: string;
  lines: readonly string[];
  text: string;
  steps: readonly LabelledStep[];
  /** What must come before what, by the number of the step: `0<2 1<2`. */
  before: string;
  /** What may be done side by side: `0|1`. */
  free: string;
  /** `unused:c`, `unlisted:butter`, `twice:a`, `circle`, `nothing makes:stock`. */
  findings?: string;
}
