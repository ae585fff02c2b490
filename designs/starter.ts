import type { Template } from "../core/scene/template.ts";
import type { Layer, Output, ScreenPlan } from "../core/screens/plan.ts";
import * as band from "./bandTemplates.ts";
import * as wall from "./wallTemplates.ts";

/** What a new show starts with: layers, two screens, an outfit for each, and a plan. */
export const STARTER_LAYERS: readonly Layer[] = [
  { id: "backdrop", name: "Backdrop", persistent: true },
  { id: "words", name: "Words", persistent: false },
  { id: "titles", name: "Titles", persistent: false },
  { id: "corner", name: "Corner", persistent: true },
];

export interface StarterOutfit {
  readonly id: string;
  readonly name: string;
  readonly linesPerSlide: number;
  /** One for each field set it shows. */
  readonly templates: readonly Template[];
}

export const STARTER_OUTFITS: readonly StarterOutfit[] = [
  {
    id: "full",
    name: "Full words",
    linesPerSlide: 4,
    templates: [
      wall.wallBackdrop,
      wall.wallTitle,
      wall.wallLyrics,
      wall.wallReading,
      wall.wallName,
      wall.wallCorner,
    ],
  },
  {
    id: "band",
    name: "Two-line band",
    linesPerSlide: 2,
    templates: [band.bandLyrics, band.bandReading, band.bandName, band.bandTitle, band.bandCorner],
  },
];

export const STARTER_OUTPUTS: readonly Output[] = [
  { id: "wall", name: "Wall", widthPx: 1920, heightPx: 1080, backdrop: "opaque" },
  { id: "stream", name: "Stream", widthPx: 1920, heightPx: 1080, backdrop: "transparent" },
];

const ALL_LAYERS = STARTER_LAYERS.map(({ id }) => id);
export const STARTER_PLAN: ScreenPlan = {
  id: "evening",
  name: "Evening",
  outputs: {
    wall: { outfitId: "full", layerIds: ALL_LAYERS },
    stream: { outfitId: "band", layerIds: ALL_LAYERS },
  },
};
