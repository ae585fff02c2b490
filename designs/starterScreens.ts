import { type Layer, type Output, outputSchema, type ScreenPlan } from "../core/venue/plan.ts";

const ANIMATED = { how: "animated", opacity: 1, effectMs: null, turns: "hand" } as const;

/** What a new show starts with: layers, two screens, and a plan. */
export const STARTER_LAYERS: readonly Layer[] = [
  { id: "backdrop", name: "Backdrop", persistent: true, ...ANIMATED },
  { id: "picture", name: "Picture", persistent: false, ...ANIMATED },
  { id: "words", name: "Words", persistent: false, ...ANIMATED },
  { id: "titles", name: "Titles", persistent: false, ...ANIMATED },
  { id: "ticker", name: "Ticker", persistent: true, ...ANIMATED },
  { id: "corner", name: "Corner", persistent: true, ...ANIMATED },
];

const output = (
  id: string,
  name: string,
  widthPx: number,
  heightPx: number,
  more: Partial<Omit<Output, "id" | "name" | "widthPx" | "heightPx">> = {},
): Output =>
  outputSchema.parse({
    id,
    name,
    widthPx,
    heightPx,
    backdrop: "opaque",
    frameRate: "60",
    signal: "picture",
    sound: false,
    program: false,
    ...more,
  });

const WALL = output("wall", "Wall", 1920, 1080, { sound: true });
const STREAM = output("stream", "Stream", 1920, 1080, { backdrop: "transparent" });

export const STARTER_OUTPUTS: readonly Output[] = [WALL, STREAM];
/** A house full of screens, each of its own shape. */
export const FIVE_OUTPUTS: readonly Output[] = [
  WALL,
  STREAM,
  output("ribbon", "Quay ribbon", 1920, 360),
  output("porch", "Porch", 1080, 1920),
  output("singers", "Singers", 1280, 720),
];

const ALL_LAYERS = STARTER_LAYERS.map(({ id }) => id);
const without = (...ids: string[]) => ALL_LAYERS.filter((id) => !ids.includes(id));

export const STARTER_PLAN: ScreenPlan = {
  id: "evening",
  name: "Evening",
  outputs: {
    wall: { outfitId: "full", layerIds: ALL_LAYERS },
    stream: { outfitId: "band", layerIds: ALL_LAYERS },
  },
};
export const FIVE_PLAN: ScreenPlan = {
  ...STARTER_PLAN,
  outputs: {
    ...STARTER_PLAN.outputs,
    ribbon: { outfitId: "ribbon", layerIds: ALL_LAYERS },
    porch: { outfitId: "porch", layerIds: without("titles") },
    singers: { outfitId: "stage", layerIds: without("ticker", "corner") },
  },
};
