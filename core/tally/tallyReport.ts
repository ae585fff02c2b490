/** What a device says of one of its inputs, or of a display that stands for it. */
export interface TallyReport {
  /** The number of the input. */
  readonly input: number;
  readonly isOnProgram: boolean;
  readonly isOnPreview: boolean;
  /** What the device calls it; empty: it does not say. */
  readonly label: string;
}

export type ReadTally = { readonly reports: readonly TallyReport[] } | { readonly problem: string };
