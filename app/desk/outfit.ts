/** An outfit as the desk names it. */
export interface DeskOutfit {
  readonly id: string;
  readonly name: string;
  readonly linesPerSlide: number;
  /** Field set → the templates it offers, the worn one first. */
  readonly templates: Readonly<Record<string, readonly { readonly key: string; readonly name: string }[]>>;
}
