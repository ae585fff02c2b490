import type { z } from "zod";
import type { shadowSchema } from "../core/scene/houseStyle.ts";

type Shadows = readonly z.infer<typeof shadowSchema>[];

const shadow = (color: string, blurPx: number, offsetXPx = 0, offsetYPx = 0) => ({
  color,
  blurPx,
  offsetXPx,
  offsetYPx,
});

/**
 * Shadows with which words stay readable on any picture: beside the edge of a stroke what lies beneath is dark enough for light
 * words were it white, and light enough for dark words were it black. In colours of their own: a style's may be either.
 */
export const READY_SHADOWS: readonly { readonly name: string; readonly shadows: Shadows }[] = [
  {
    name: "light words: soft",
    shadows: [shadow("#000000ff", 4, 0, 1), shadow("#000000e6", 10, 0, 2), shadow("#000000bf", 24, 0, 4)],
  },
  {
    name: "light words: close",
    shadows: [shadow("#000000ff", 4, 0, 1), shadow("#000000ff", 4), shadow("#000000b3", 6)],
  },
  {
    name: "light words: to the lower right",
    shadows: [shadow("#000000f2", 4, 3, 3), shadow("#000000ff", 5), shadow("#000000e6", 6)],
  },
  {
    name: "dark words: soft",
    shadows: [shadow("#ffffffff", 4, 0, 1), shadow("#ffffffe6", 10, 0, 2), shadow("#ffffffbf", 24, 0, 4)],
  },
  { name: "dark words: close", shadows: [shadow("#fffffff2", 6, 0, 1), shadow("#ffffffcc", 6)] },
];
