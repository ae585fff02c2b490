import type { Template } from "../core/scene/template.ts";
import { MADE_FOR_WALLS, MADE_OVER_PICTURES } from "./made/madeTemplates.ts";
import { BAND_TEMPLATES } from "./templates/band.ts";
import { PORCH_TEMPLATES } from "./templates/porch.ts";
import { RIBBON_TEMPLATES } from "./templates/ribbon.ts";
import { STAGE_TEMPLATES } from "./templates/stageReturn.ts";
import { TWO_LANGUAGES } from "./templates/twoLanguages.ts";
import { WALL_TEMPLATES } from "./templates/wall.ts";

export interface StarterOutfit {
  readonly id: string;
  readonly name: string;
  readonly linesPerSlide: number;
  /** Outfits that stand in for it on screens of their shape. */
  readonly variants?: readonly string[];
  /** For each field set it shows, the one it wears and after it those a page may choose. */
  readonly templates: readonly Template[];
}

const OUTFITS = {
  full: {
    id: "full",
    name: "Full words",
    linesPerSlide: 4,
    variants: ["porch", "ribbon"],
    templates: [...WALL_TEMPLATES, ...TWO_LANGUAGES.full, ...MADE_FOR_WALLS],
  },
  band: {
    id: "band",
    name: "Two-line band",
    linesPerSlide: 2,
    templates: [...BAND_TEMPLATES, ...TWO_LANGUAGES.band, ...MADE_OVER_PICTURES],
  },
  ribbon: { id: "ribbon", name: "Ribbon", linesPerSlide: 2, templates: RIBBON_TEMPLATES },
  porch: {
    id: "porch",
    name: "Portrait",
    linesPerSlide: 4,
    templates: [...PORCH_TEMPLATES, ...TWO_LANGUAGES.porch],
  },
  stage: {
    id: "stage",
    name: "Stage return",
    linesPerSlide: 4,
    templates: [...STAGE_TEMPLATES, ...TWO_LANGUAGES.stage],
  },
} as const satisfies Record<string, StarterOutfit>;

export const STARTER_OUTFITS: readonly StarterOutfit[] = [OUTFITS.full, OUTFITS.band];
/** Every outfit that ships. */
export const ALL_OUTFITS: readonly StarterOutfit[] = Object.values(OUTFITS);
