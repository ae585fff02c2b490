import type { PinnedDocument } from "../rundown/pinnedDocument.ts";
import { type CarriedShow, NO_SHOW, PART_NAMES, type PartName, partOf, thingsOf } from "./carriedShow.ts";
import { findIn, keyOf, type Met, twinsOf } from "./compare.ts";
import { documentsNeeded } from "./documentsNeeded.ts";
import { type Another, RENAMED, type Rename, type Renamed } from "./part.ts";
import { offering, withFonts } from "./parts/designs.ts";
import type { CarriedDocument } from "./parts/document.ts";

/** What becomes of a thing that comes: it comes, or takes the place of the one here, or comes beside it, or it does not come. */
export const CHOICES = ["take", "keep", "replace", "both"] as const;
export type Choice = (typeof CHOICES)[number];
/** By `keyOf`. What is not named comes where it is new, and leaves what is here as it is. */
export type Choices = Readonly<Record<string, Choice>>;

export interface MergeTools {
  readonly newId: () => string;
  readonly hashOf: (document: PinnedDocument) => string;
}

/** Whether what is chosen makes the thing come at all. */
export function comes(
  { state, canBeBoth }: Pick<Met, "state" | "canBeBoth">,
  choice: Choice | undefined,
): boolean {
  if (state === "new") return choice !== "keep";
  return state === "other" && (choice === "replace" || (choice === "both" && canBeBoth));
}

/**
 * What has to be written so that a show comes beside another: things under the ids that they have from then on, with what they
 * name called as it is called here.
 * @param met what `compareShows` found
 */
export function mergeShows(
  here: CarriedShow,
  there: CarriedShow,
  met: readonly Met[],
  choices: Choices,
  { newId, hashOf }: MergeTools,
): CarriedShow {
  const find = findIn(there, here);
  const pinned: CarriedDocument[] = [];
  const findAll = (hash: string) =>
    find(hash) ?? (pinned.find(({ id }) => id === hash)?.doc as PinnedDocument);
  const pin = (document: PinnedDocument): string => {
    const id = hashOf(document);
    pinned.push({ id, kind: document.kind, doc: document } as CarriedDocument);
    return id;
  };
  const chosen = new Map(met.map((each) => [keyOf(each.part, each.id), each]));
  const names = new Map<string, string>();
  const call = (kind: Renamed, was: string, is: string) => names.set(`${kind}/${was}`, is);
  const rename: Rename = (kind, id) => names.get(`${kind}/${id}`) ?? id;
  const asRenamed = (part: PartName): Renamed | undefined => RENAMED.find((kind) => kind === part);

  // Whoever names a thing must find it: ids first.
  for (const part of PART_NAMES) {
    const kind = asRenamed(part);
    if (!kind) continue;
    const ids = new Set(here[part].map(({ id }) => id));
    const twins = twinsOf(part, here, find);
    const { twinOf } = partOf(part);
    for (const thing of there[part]) {
      const twin = twinOf && !ids.has(thing.id) ? twins.get(twinOf(thing as never, find)) : undefined;
      if (twin !== undefined) call(kind, thing.id, twin);
      else if (
        choices[keyOf(part, thing.id)] === "both" &&
        chosen.get(keyOf(part, thing.id))?.state === "other"
      )
        call(kind, thing.id, newId());
    }
  }
  const coming = <P extends PartName>(part: P) =>
    thingsOf(there, part).filter((thing) => {
      const found = chosen.get(keyOf(part, thing.id));
      return found !== undefined && comes(found, choices[keyOf(part, thing.id)]);
    });
  const isBoth = (part: PartName, id: string) =>
    choices[keyOf(part, id)] === "both" && chosen.get(keyOf(part, id))?.state === "other";

  const evenings = new Map<string, string>();
  for (const { id } of coming("evening")) evenings.set(id, isBoth("evening", id) ? newId() : id);
  // Cues have ids of their own in all of a house, and two houses may have called theirs alike.
  const takenCues = new Map(here.evening.flatMap(({ id, cues }) => cues.map((cue) => [cue.id, id] as const)));
  for (const { id, cues } of coming("evening"))
    for (const cue of cues) {
      const owner = takenCues.get(cue.id);
      if (owner !== undefined && owner !== evenings.get(id)) call("cue", cue.id, newId());
    }

  const written: { [P in PartName]?: readonly unknown[] } = {};
  for (const part of PART_NAMES) {
    const { another, renamed } = partOf(part);
    written[part] = coming(part).map((thing) => {
      const kind = asRenamed(part);
      const id =
        part === "evening" ? (evenings.get(thing.id) ?? thing.id) : kind ? rename(kind, thing.id) : thing.id;
      const how: Another = { id, find: findAll, pin };
      const own = another && isBoth(part, thing.id) ? another(thing as never, how) : thing;
      return renamed ? renamed(own as never, rename) : own;
    });
  }
  const show = { ...NO_SHOW, ...written } as CarriedShow;
  const style = show.style.map((each) => withFonts(each, rename, { find: findAll, pin }));
  const beside = new Map(
    coming("template").flatMap(({ id }) => (isBoth("template", id) ? [[id, rename("template", id)]] : [])),
  );
  const outfits = new Map(show.outfit.map((outfit) => [outfit.id, outfit]));
  if (beside.size > 0)
    for (const outfit of [...here.outfit.filter(({ id }) => !outfits.has(id)), ...show.outfit]) {
      const more = offering(outfit, beside, { find: findAll, pin });
      if (more) outfits.set(more.id, more);
    }
  const whole = { ...show, style, outfit: [...outfits.values()] };
  const needed = new Set(documentsNeeded(whole, findAll));
  const known = [...there.documents, ...pinned].filter(({ id }) => needed.has(id));
  return { ...whole, documents: [...new Map(known.map((document) => [document.id, document])).values()] };
}
