import {
  type CarriedShow,
  documentsOf,
  PART_NAMES,
  type PartName,
  partOf,
  type Things,
  thingsOf,
} from "./carriedShow.ts";
import { documentsNeeded } from "./documentsNeeded.ts";
import { ofEvening, usedBy } from "./ofEvening.ts";
import type { FindDocument } from "./part.ts";

/** A thing of the show that comes, beside the one that is here. */
export interface Met {
  readonly part: PartName;
  readonly id: string;
  readonly name: string;
  readonly about: string;
  /** It is not here; it is here and says the same; or it is here and says something else. */
  readonly state: "new" | "same" | "other";
  /** How the one here is called and what it holds, where it says something else. */
  readonly here: { readonly name: string; readonly about: string } | null;
  /** How the one that comes differs, in sentences. */
  readonly differences: readonly string[];
  readonly canBeBoth: boolean;
  /** Things that it cannot be without, as `keyOf` has them; those that are here already need not come. */
  readonly needs: readonly string[];
}

/** A thing by its kind and its id there. */
export const keyOf = (part: PartName, id: string): string => `${part}/${id}`;

/**
 * What of a show is new here, the same, or clashes.
 * @param here the show into which it would come
 * @param there the show that comes
 */
export function compareShows(here: CarriedShow, there: CarriedShow): readonly Met[] {
  const find = findIn(there, here);
  return PART_NAMES.flatMap((part) => compareThings(part, here, there, find));
}

/** Looks a document up in one show, else in the other: equal hashes are equal documents. */
export function findIn(first: CarriedShow, second: CarriedShow): FindDocument {
  const [a, b] = [documentsOf(first), documentsOf(second)];
  return (hash) => a(hash) ?? b(hash);
}

function compareThings<P extends PartName>(
  name: P,
  here: CarriedShow,
  there: CarriedShow,
  find: FindDocument,
): Met[] {
  const part = partOf(name);
  const ours = new Map(thingsOf(here, name).map((thing) => [thing.id, thing]));
  const twins = twinsOf(name, here, find);
  return thingsOf(there, name).map((thing) => {
    const same = ours.get(thing.id);
    const isTwin = !same && part.twinOf !== undefined && twins.has(part.twinOf(thing, find));
    const state = isTwin
      ? "same"
      : !same
        ? "new"
        : essence(name, same) === essence(name, thing)
          ? "same"
          : "other";
    return {
      part: name,
      id: thing.id,
      name: part.nameOf(thing, find),
      about: part.aboutOf(thing, find),
      state,
      here:
        state === "other" && same ? { name: part.nameOf(same, find), about: part.aboutOf(same, find) } : null,
      differences: (state === "other" && same && part.differences?.(same, thing, find)) || [],
      canBeBoth: part.another !== undefined,
      needs: state === "same" ? [] : needsOf(name, thing.id, there, find),
    };
  });
}

/** What says the same has the same text. */
const essence = <P extends PartName>(name: P, thing: Things[P]): string => {
  const { essenceOf } = partOf(name);
  return canonical(essenceOf ? essenceOf(thing) : thing);
};

const canonical = (value: unknown): string =>
  JSON.stringify(value, (_key, inner) =>
    inner && typeof inner === "object" && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );

/** Things of one kind by what they say, whatever their ids. */
export function twinsOf(name: PartName, show: CarriedShow, find: FindDocument): ReadonlyMap<string, string> {
  const { twinOf } = partOf(name);
  return new Map(twinOf ? show[name].map((thing) => [twinOf(thing as never, find), thing.id]) : []);
}

/** What a thing names that may not be here. */
function needsOf(name: PartName, id: string, show: CarriedShow, find: FindDocument): readonly string[] {
  switch (name) {
    case "evening": {
      const needed = ofEvening(show, id);
      const templates = usedBy(needed.evening);
      const own = new Set(
        needed.evening.flatMap(({ cues }) => cues.flatMap(({ doc }) => doc.template ?? [])),
      );
      return [
        ...needed.song.map((song) => keyOf("song", song.id)),
        ...needed.text.map((text) => keyOf("text", text.id)),
        ...needed.feed.filter((feed) => templates.feeds.has(feed.id)).map((feed) => keyOf("feed", feed.id)),
        ...needed.media
          .filter((media) => templates.values.has(media.id))
          .map((media) => keyOf("media", media.id)),
        ...needed.template
          .filter((template) => own.has(template.id))
          .map((each) => keyOf("template", each.id)),
      ];
    }
    case "template": {
      const template = show.template.filter((each) => each.id === id);
      const hashes = new Set(documentsNeeded({ ...NOTHING, template }, find));
      return show.media.filter(({ hash }) => hashes.has(hash)).map((media) => keyOf("media", media.id));
    }
    case "clip": {
      const mediaId = show.clip.find((clip) => clip.id === id)?.doc.mediaId;
      return show.media.some((media) => media.id === mediaId) ? [keyOf("media", mediaId ?? "")] : [];
    }
    default:
      return [];
  }
}

const NOTHING = { template: [], style: [], outfit: [], fieldSet: [], media: [], house: [] };
