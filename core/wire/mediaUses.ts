/** Where something of the library is used. */
export type MediaUse =
  | { readonly kind: "cue"; readonly cueId: string; readonly title: string }
  | { readonly kind: "template"; readonly templateId: string; readonly name: string }
  /** A source of pictures shows it. */
  | { readonly kind: "source"; readonly name: string }
  /** A clip of the list plays it. */
  | { readonly kind: "clip"; readonly name: string }
  /** Its file comes from there. */
  | { readonly kind: "feed"; readonly name: string }
  /** Another evening than the open one. */
  | { readonly kind: "evening"; readonly name: string; readonly cues: number };
