import type { DesignRef, Touches } from "../../core/design/designEdit.ts";
import { outfitsWearing } from "../../core/rundown/wearers.ts";
import { contentsOf } from "../../core/show/state.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { DesignStore } from "../store/designStore.ts";
import type { EveningStore } from "../store/eveningStore.ts";
import { pinnedBy } from "../store/pinnedBy.ts";
import type { ScreenStore } from "../store/screenStore.ts";
import { wardrobesOf } from "../store/wardrobes.ts";
import type { ShowHost } from "./showHost.ts";

interface Parts {
  readonly designs: DesignStore;
  readonly evenings: EveningStore;
  readonly rundown: Rundown;
  readonly screens: ScreenStore;
  readonly contents: ContentStore;
  readonly host: ShowHost;
}

/** The cues of every evening that is not deleted. */
async function* cuesOfEvenings({ evenings, rundown }: Pick<Parts, "evenings" | "rundown">) {
  for (const evening of await evenings.list()) {
    if (evening.isDeleted) continue;
    const isOpen = evening.id === evenings.open.id;
    yield { isOpen, cues: isOpen ? rundown.views() : await evenings.cuesOf(evening.id) };
  }
}

/** How many pages of all evenings have a set of fields. */
export async function countPagesWith(
  parts: Pick<Parts, "evenings" | "rundown">,
  fieldSet: string,
): Promise<number> {
  let pages = 0;
  for await (const { cues } of cuesOfEvenings(parts))
    pages += cues.filter(({ doc }) => doc.kind === "page" && doc.fieldSet === fieldSet).length;
  return pages;
}

/** Which pages, in which evenings and on which screens, wear a template as it is published. */
export async function touchesOf(parts: Parts, { kind, id }: DesignRef): Promise<Touches> {
  const { designs, screens, contents, host } = parts;
  const none: Touches = { pages: 0, evenings: 0, cueIds: [], screens: [], isOnAir: false };
  const hash = kind === "template" ? designs.find(kind, id)?.published?.hash : undefined;
  if (hash === undefined) return none;
  const wardrobes = wardrobesOf(designs);
  const wearing = new Set<string>();
  let pages = 0;
  let count = 0;
  let cueIds: readonly string[] = [];
  for await (const { isOpen, cues } of cuesOfEvenings(parts)) {
    const worn = cues.filter(({ doc }) => {
      const outfits = outfitsWearing(doc, hash, wardrobes);
      for (const outfitId of outfits) wearing.add(outfitId);
      return outfits.length > 0;
    });
    pages += worn.length;
    if (worn.length > 0) count++;
    if (isOpen) cueIds = worn.map(({ cueId }) => cueId);
  }
  const { plan } = host.state;
  return {
    pages,
    evenings: count,
    cueIds,
    screens: screens.outputs.flatMap(({ id: outputId, name }) => {
      const outfitId = plan.outputs[outputId]?.outfitId;
      return outfitId !== undefined && wearing.has(outfitId) ? [name] : [];
    }),
    isOnAir: [...contentsOf(host.state)].some((content) => pinnedBy(contents.find(content)).includes(hash)),
  };
}
