import type { CueDoc } from "../core/rundown/cueDoc.ts";
import type { HouseStyle } from "../core/scene/houseStyle.ts";
import type { Layer, Output, ScreenPlan } from "../core/screens/plan.ts";
import type { StarterOutfit } from "./starter.ts";

/** A show as it is made, before anything was edited in it. */
export interface NewShow {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly layers: readonly Layer[];
  readonly plan: ScreenPlan;
  readonly outputs: readonly Output[];
  readonly outfits: readonly StarterOutfit[];
  readonly style: HouseStyle;
}

/** What a database with no show in it is filled with. */
export interface Seed {
  readonly show: NewShow;
  readonly cues: readonly CueDoc[];
}
