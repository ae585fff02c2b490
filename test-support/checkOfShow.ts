import type { CheckedCue } from "../core/check/checkedCue.ts";
import type { EveningToCheck } from "../core/check/evening.ts";
import { readCheckedCues } from "../core/check/readEvening.ts";
import { createDresser } from "../core/compose/dress.ts";
import type { Documents } from "../core/rundown/pinnedDocument.ts";
import type { FieldSets } from "../core/scene/fieldSet.ts";
import { FALLBACK_FONTS } from "../core/text/fontList.ts";
import type { Seed } from "../designs/seed.ts";
import { checkMeasures } from "../painters/checkMeasures.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { deskDesigns } from "../server/live/deskDesigns.ts";
import type { Services } from "../server/services/services.ts";
import { serverPaintKit } from "../server/stills/serverCanvas.ts";

const WINDOW = {
  ...{ wantedWidthPx: 1, wantedHeightPx: 1, widthPx: 1, heightPx: 1 },
  ...{ lateMs: null, isHidden: false },
};

/** @param before those that were read before: the same objects where nothing changed */
export const cuesOfShow = (
  { contents, rundown }: Services,
  fieldSets: FieldSets,
  before: readonly CheckedCue[] = [],
): readonly CheckedCue[] =>
  readCheckedCues(
    rundown.views(),
    (hash) => {
      const found = contents.find(hash);
      return found?.kind === "page" ? found : undefined;
    },
    fieldSets,
    before,
  );

/** The open evening of a show as the check reads it, with every screen well and every feed read; painted by the server's painter. */
export async function eveningOfShow(services: Services, seed: Seed): Promise<EveningToCheck> {
  const { contents, host, screens, evenings, house } = services;
  const designs = deskDesigns(services.designs);
  const fieldSets = new Map(designs.fieldSets.map((set) => [set.id, set]));
  const documents = {
    get: (hash: string) => contents.find(hash),
    has: (hash: string) => contents.find(hash) !== undefined,
  } as unknown as Documents;
  const shaper = await loadShaper();
  const dress = createDresser(documents, shaper, FALLBACK_FONTS, host.state.timeZone);
  return {
    cues: cuesOfShow(services, fieldSets),
    ...{ layers: host.state.layers, outputs: screens.outputs, plans: screens.plans },
    ...{ planId: host.state.plan.id, outfits: designs.outfits, fieldSets },
    ...{ evening: evenings.open, today: "2026-12-04", licence: house.licence },
    feeds: seed.feeds?.map(({ id, doc }) => ({ id, doc, fault: null, isStale: false, longest: {} })) ?? [],
    ...{ bindingProblems: {}, triggers: [], clips: [] },
    sourceIds: seed.sources?.map(({ id }) => id) ?? [],
    windows: Object.fromEntries(screens.outputs.map(({ id }) => [id, [WINDOW]])),
    ...{ documents, dress },
    measures: checkMeasures({ dress, kit: serverPaintKit(shaper), framesOf: () => undefined }),
  };
}
