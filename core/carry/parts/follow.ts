import { z } from "zod";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import { clipKind } from "../../stored/kinds/clip.ts";
import { clipMappingKind } from "../../stored/kinds/clipMapping.ts";
import { sourceKind } from "../../stored/kinds/source.ts";
import { triggerKind } from "../../stored/kinds/trigger.ts";
import type { StoredKind } from "../../stored/storedKind.ts";
import type { Trigger } from "../../triggers/trigger.ts";
import type { Part, Rename } from "../part.ts";
import { storedDoc } from "../storedDoc.ts";

const schemaOf = <T>(kind: StoredKind<T>) =>
  z.strictObject({ id: nameSchema(80), place: z.number().int(), doc: storedDoc(kind) });

const sourceSchema = schemaOf(sourceKind);
export type CarriedSource = z.infer<typeof sourceSchema>;
const triggerSchema = schemaOf(triggerKind);
export type CarriedTrigger = z.infer<typeof triggerSchema>;
const clipSchema = schemaOf(clipKind);
export type CarriedClip = z.infer<typeof clipSchema>;
const mappingSchema = schemaOf(clipMappingKind);
export type CarriedMapping = z.infer<typeof mappingSchema>;

const essenceOf = ({ doc }: { readonly doc: unknown }) => doc;
const differences = () => [t`other settings there`];

export const sourcePart: Part<CarriedSource> = {
  one: t`source`,
  many: t`sources`,
  schema: sourceSchema,
  nameOf: ({ doc }) => doc.name,
  aboutOf: ({ doc: { input } }) => (input === null ? t`no input` : t`input ${input}`),
  essenceOf,
  differences,
  renamed: (thing, rename) =>
    thing.doc.picture.kind === "media"
      ? {
          ...thing,
          doc: {
            ...thing.doc,
            picture: { ...thing.doc.picture, mediaId: rename("media", thing.doc.picture.mediaId) },
          },
        }
      : thing,
};

export const triggerPart: Part<CarriedTrigger> = {
  one: t`trigger`,
  many: t`triggers`,
  schema: triggerSchema,
  nameOf: ({ doc, id }) => doc.name || t`trigger ${id.slice(0, 8)}`,
  aboutOf: ({ doc }) => (doc.isOn ? "on" : "off"),
  essenceOf,
  differences,
  renamed: (thing, rename) => ({ ...thing, doc: triggerWithNames(thing.doc, rename) }),
};

export const clipPart: Part<CarriedClip> = {
  one: t`clip of the player`,
  many: t`clips of the player`,
  schema: clipSchema,
  nameOf: ({ doc }) => doc.name,
  aboutOf: () => t`in the player’s list`,
  essenceOf,
  differences,
  renamed: (thing, rename) => ({
    ...thing,
    doc: { ...thing.doc, mediaId: rename("media", thing.doc.mediaId) },
  }),
};

export const mappingPart: Part<CarriedMapping> = {
  one: t`mapping of clips’ files`,
  many: t`mappings of clips’ files`,
  schema: mappingSchema,
  nameOf: ({ doc }) => doc.name,
  aboutOf: () => t`of the files beside clips`,
  essenceOf,
  differences,
};

/** A trigger with the cues and tables that it names called as they are called now. */
function triggerWithNames(trigger: Trigger, rename: Rename): Trigger {
  const named = <T extends object>(of: T): T => ({
    ...of,
    ...("cueId" in of && { cueId: rename("cue", String(of.cueId)) }),
    ...("feedId" in of && { feedId: rename("feed", String(of.feedId)) }),
  });
  return {
    ...trigger,
    when: named(trigger.when),
    onlyWhile: trigger.onlyWhile.map(named),
    act: named(trigger.act),
  };
}
