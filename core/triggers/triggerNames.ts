/** What the things are called that triggers speak of. */
export interface TriggerNames {
  readonly source: (id: string) => string;
  readonly cue: (id: string) => string;
  readonly layer: (id: string) => string;
  readonly plan: (id: string) => string;
  readonly clip: (id: string) => string;
  readonly feed: (id: string) => string;
}
