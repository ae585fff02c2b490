/** An outfit as the desk names it. */
export interface DeskOutfit {
  readonly id: string;
  readonly name: string;
  readonly linesPerSlide: number;
}
