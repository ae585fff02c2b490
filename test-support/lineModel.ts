/**
 * The operator's line, written apart from the core, from the sentences that people read:
 *
 * - The line is the operator's place in the script. It goes on with a take of what is next, and with a jump.
 * - What comes by itself, or is taken out of order onto another layer while the line's cue is not through, is an aside: line, next
 *   and arm stay.
 * - "Go on from here" makes an aside the line.
 * - An arm is used up by its take, or gives way when the line moves or another is armed. One that is armed for an aside lies over
 *   the line's arm, which holds again afterwards.
 * - What came besides is not next again while the line stays in its cue.
 */
export interface ModelCue {
  readonly layer: string;
  readonly steps: number;
}
export interface Place {
  readonly cue: number;
  readonly step: number;
}
type ModelArm = Place & { readonly jump: boolean };

export class LineModel {
  line: Place | null = null;
  arms: ModelArm[] = [];
  besides = new Map<number, number>();

  constructor(readonly cues: readonly ModelCue[]) {}

  next(): Place | null {
    const armed = this.arms.at(-1);
    if (armed) return { cue: armed.cue, step: armed.step };
    let place = this.line;
    for (;;) {
      place = this.#after(place);
      if (!place || place.cue === this.line?.cue) return place;
      const came: number | undefined = place.step === 0 ? this.besides.get(place.cue) : undefined;
      if (came === undefined) return place;
      place = { cue: place.cue, step: came };
    }
  }

  take(place: Place, jump: boolean): void {
    const armed = this.arms.at(-1);
    const isArmed = armed !== undefined && armed.cue === place.cue && armed.step === place.step;
    if (!jump && !(isArmed && armed.jump) && this.#isBeside(place.cue)) this.comeByItself(place);
    else this.#goTo(place);
  }

  comeByItself(place: Place): void {
    const armed = this.arms.at(-1);
    if (armed && armed.cue === place.cue && armed.step === place.step) this.arms.pop();
    // The newest is the last.
    this.besides.delete(place.cue);
    this.besides.set(place.cue, place.step);
  }

  arm(place: Place, jump: boolean): void {
    const isForAside = !jump && this.#isBeside(place.cue);
    if (!isForAside) this.arms = [];
    // Only the line's own arm is kept beneath.
    const own = this.arms.filter((arm) => !this.#isBeside(arm.cue));
    const same = own.at(-1);
    this.arms = same && same.cue === place.cue && same.step === place.step ? [] : own.slice(0, 1);
    this.arms.push({ ...place, jump });
  }

  disarm(): void {
    this.arms = [];
  }

  goOn(cue: number): void {
    const step = this.besides.get(cue);
    if (step !== undefined) this.#goTo({ cue, step });
  }

  #goTo(place: Place): void {
    if (this.line?.cue !== place.cue) this.besides.clear();
    this.besides.delete(place.cue);
    this.line = place;
    this.arms = [];
  }

  #isBeside(cue: number): boolean {
    const { line, cues } = this;
    if (!line || line.cue === cue) return false;
    const here = cues[line.cue] as ModelCue;
    return line.step < here.steps - 1 && here.layer !== (cues[cue] as ModelCue).layer;
  }

  #after(place: Place | null): Place | null {
    if (!place) return { cue: 0, step: 0 };
    if (place.step + 1 < (this.cues[place.cue] as ModelCue).steps)
      return { cue: place.cue, step: place.step + 1 };
    return place.cue + 1 < this.cues.length ? { cue: place.cue + 1, step: 0 } : null;
  }
}
