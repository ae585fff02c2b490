/** Inputs of the mixer that ships, by their numbers. */
export const INPUTS = [
  { input: 0, name: "Black", shows: { kind: "black" } },
  { input: 1, name: "Lectern", shows: { kind: "scene", scene: "lectern" } },
  { input: 2, name: "Singers", shows: { kind: "scene", scene: "singers" } },
  { input: 3, name: "Room", shows: { kind: "scene", scene: "room" } },
  { input: 4, name: "Quay", shows: { kind: "scene", scene: "quay" } },
  { input: 5, name: "Clips", shows: { kind: "clip" } },
  { input: 6, name: "Bars", shows: { kind: "bars" } },
] as const;
export type InputNumber = (typeof INPUTS)[number]["input"];

/** A mixer with two buses and a lever between them. Times are ms of one clock. */
export interface Mixer {
  readonly program: InputNumber;
  readonly preview: InputNumber;
  /** How far preview is mixed in: 0 none of it, 1 all. */
  readonly lever: number;
  /** A mix that goes by itself; null: the lever is where a hand has put it. */
  readonly mix: { readonly fromMs: number; readonly durationMs: number } | null;
  /** It cuts and mixes as a director would. */
  readonly byItself: { readonly nextAtMs: number } | null;
}

export const AT_START: Mixer = { program: 3, preview: 1, lever: 0, mix: null, byItself: null };

export type MixerAct =
  | { readonly kind: "program" | "preview"; readonly input: InputNumber }
  | { readonly kind: "cut" }
  | { readonly kind: "mix"; readonly durationMs: number }
  | { readonly kind: "lever"; readonly at: number }
  | { readonly kind: "byItself"; readonly isOn: boolean };

export const isInput = (value: unknown): value is InputNumber => INPUTS.some(({ input }) => input === value);

/** The mixer after an act. */
export function act(mixer: Mixer, what: MixerAct, atMs: number): Mixer {
  switch (what.kind) {
    case "program":
      return { ...mixer, program: what.input, lever: 0, mix: null };
    case "preview":
      // What is half mixed in is not swapped for something else.
      return mixer.lever > 0 ? mixer : { ...mixer, preview: what.input };
    case "cut":
      return { ...mixer, program: mixer.preview, preview: mixer.program, lever: 0, mix: null };
    case "mix":
      return mixer.mix
        ? mixer
        : { ...mixer, mix: { fromMs: atMs, durationMs: Math.max(1, what.durationMs) } };
    case "lever":
      return settled({ ...mixer, lever: Math.min(1, Math.max(0, what.at)), mix: null });
    case "byItself":
      return { ...mixer, byItself: what.isOn ? { nextAtMs: atMs + 1_000 } : null };
  }
}

/** At the end of the lever's way the buses have changed. */
const settled = (mixer: Mixer): Mixer =>
  mixer.lever >= 1
    ? { ...mixer, program: mixer.preview, preview: mixer.program, lever: 0, mix: null }
    : mixer;

/** Cameras that a director goes between, and how long a shot lasts. */
const SHOTS: readonly InputNumber[] = [1, 2, 3, 4];
const SHORTEST_SHOT_MS = 4_000;
const LONGEST_SHOT_MS = 14_000;

/** The mixer as time passes: a mix goes on, a director does something. @param random 0 to 1 */
export function pass(before: Mixer, atMs: number, random: () => number): Mixer {
  let mixer = before;
  if (mixer.mix) {
    const { fromMs, durationMs } = mixer.mix;
    mixer = settled({ ...mixer, lever: Math.min(1, (atMs - fromMs) / durationMs) });
  }
  if (!mixer.byItself || atMs < mixer.byItself.nextAtMs || mixer.mix) return mixer;
  const others = SHOTS.filter((input) => input !== mixer.program);
  const preview = others[Math.floor(random() * others.length)] ?? mixer.preview;
  const shotMs = SHORTEST_SHOT_MS + random() * (LONGEST_SHOT_MS - SHORTEST_SHOT_MS);
  const ready: Mixer = { ...mixer, preview, lever: 0, byItself: { nextAtMs: atMs + shotMs } };
  return act(ready, random() < 0.7 ? { kind: "cut" } : { kind: "mix", durationMs: 1_000 }, atMs);
}

/** Which inputs are to be seen: while the lever is on its way, both. */
export function tallyOf({ program, preview, lever }: Mixer): {
  readonly program: readonly InputNumber[];
  readonly preview: readonly InputNumber[];
} {
  return { program: lever > 0 ? [program, preview] : [program], preview: [preview] };
}
