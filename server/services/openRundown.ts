import { namingLanguage } from "../../core/words/reader/labelWords.ts";
import { outfitsSeen } from "../rundown/outfitsSeen.ts";
import { Rundown } from "../rundown/rundown.ts";
import type { FontStore } from "../store/fontStore.ts";
import type { WornStyle } from "../store/showStore.ts";
import { fieldSetsOf, wardrobesOf } from "../store/wardrobes.ts";
import type { Stores } from "./openStores.ts";

/** What changes what cues are compiled with: they are made anew. */
export interface Ingredients {
  /** Compiles readings anew: other texts are here now. */
  readonly readAgain: () => void;
  /** Takes a text out; cues that read from it say so. */
  readonly removeText: (code: string) => Promise<void>;
  readonly setLicence: (licence: string) => Promise<void>;
  /** Dresses the whole show in another style; the air keeps the one it has. */
  readonly wearStyle: (style: WornStyle) => Promise<void>;
  readonly addFont: FontStore["add"];
  readonly removeFont: FontStore["remove"];
}

/** The open evening's cues, compiled with what the stores hold, and anew whenever that changes. */
export function openRundown(stores: Stores): {
  readonly rundown: Rundown;
  readonly ingredients: Ingredients;
} {
  const { show, fonts, media, screens, scriptures, venue, house, designs } = stores;
  const findMedia = (id: string) => media.find(id)?.hash;
  const findMediaByName = (name: string) => media.list().find(({ info }) => info.name === name)?.hash;
  let language = namingLanguage(venue.settings.language);
  let wardrobes = wardrobesOf(designs);
  let seen = outfitsSeen(screens, wardrobes);
  const rundown = new Rundown(stores.cues, stores.contents, {
    fieldSets: fieldSetsOf(designs),
    wardrobes,
    style: show.style,
    fallbackFonts: fonts.fallback,
    shaper: stores.shaper,
    findMedia,
    findMediaByName,
    hasMedia: (hash) => stores.contents.find(hash)?.kind === "media",
    plans: screens.plans,
    outputs: screens.outputs,
    scripture: scriptures,
    language,
    licence: show.licence,
  });
  venue.onChange((settings) => {
    // Sections that are called as before need not be made anew.
    const named = namingLanguage(settings.language);
    if (named === language) return;
    language = named;
    rundown.setContext({ language }, "sectionNames");
  });
  media.onChange(() => rundown.setContext({ findMedia }, "media"));
  designs.onChange(({ kind }, isPublished) => {
    if (!isPublished || kind === "style") return;
    if (kind === "fieldSet") rundown.setContext({ fieldSets: fieldSetsOf(designs) });
    else {
      wardrobes = wardrobesOf(designs);
      seen = outfitsSeen(screens, wardrobes);
      rundown.setContext({ wardrobes });
    }
  });
  screens.onChange(() => {
    const now = outfitsSeen(screens, wardrobes);
    if (now === seen) return;
    seen = now;
    rundown.setContext({ plans: screens.plans, outputs: screens.outputs });
  });
  const readAgain = () => rundown.setContext({ scripture: scriptures }, "scripture");
  return {
    rundown,
    ingredients: {
      readAgain,
      removeText: async (code) => {
        await scriptures.remove(code);
        readAgain();
      },
      setLicence: async (licence) => {
        await house.setLicence(licence);
        rundown.setContext({ licence }, "licence");
      },
      wearStyle: async (worn) => {
        await house.setStyle(worn);
        rundown.setContext({ style: worn });
      },
      addFont: async (id, name, file, signal) => {
        const added = await fonts.add(id, name, file, signal);
        if ("font" in added) rundown.setContext({ fallbackFonts: fonts.fallback });
        return added;
      },
      removeFont: async (id) => {
        const removed = await fonts.remove(id);
        if (removed) rundown.setContext({ fallbackFonts: fonts.fallback });
        return removed;
      },
    },
  };
}
