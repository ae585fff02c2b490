/** What a text object changes about the room between letters and at line heads. */
export interface Spacing {
  readonly trackingEm: number;
  readonly hangNumbers: boolean;
}

export const UNSPACED: Spacing = { trackingEm: 0, hangNumbers: false };

/** Raised numbers: their size and height against the words'. */
export const RAISED_SCALE = 0.6;
export const RAISE_EM = 0.34;

/** Letters that join or stack would come apart. */
const JOINED = new Set(["Arab", "Deva", "Thai"]);
export const isTracked = (script: string): boolean => !JOINED.has(script);
