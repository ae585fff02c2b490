/** An outfit as the desk names it. */
export interface DeskOutfit {
  readonly id: string;
  readonly name: string;
  readonly linesPerSlide: number;
  /** Field set → names of the templates it offers, the worn one first. */
  readonly templates: Readonly<Record<string, readonly string[]>>;
}
