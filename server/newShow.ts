import { HARBOUR_LAMP } from "../designs/houseStyles.ts";
import type { Seed } from "../designs/seed.ts";
import { ALL_OUTFITS } from "../designs/starter.ts";
import { STARTER_LAYERS, STARTER_OUTPUTS, STARTER_PLAN } from "../designs/starterScreens.ts";

/** A show with screens and designs and no cues yet, in this machine's time zone. */
export function emptyShow(): Seed {
  return {
    show: {
      id: "show-1",
      name: "First evening",
      place: "",
      layers: STARTER_LAYERS,
      plan: STARTER_PLAN,
      otherPlans: [],
      outputs: STARTER_OUTPUTS,
      outfits: ALL_OUTFITS,
      style: HARBOUR_LAMP,
      licence: "",
      startsAt: "",
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    },
    media: [],
    feeds: [],
    comments: null,
    sources: [],
    triggers: [],
    clips: [],
    mappings: [],
    songs: [],
    cues: [],
  };
}
