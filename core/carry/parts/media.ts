import { z } from "zod";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import type { MediaInfo } from "../../scene/media.ts";
import type { FindDocument, Part } from "../part.ts";

const schema = z.strictObject({
  id: nameSchema(60),
  /** Of what is known of it, among the documents. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  folder: z.string().max(200),
  tags: z.array(z.string().max(80)).max(100),
  addedAtMs: z.number().int().min(0),
});
export type CarriedMedia = z.infer<typeof schema>;

const infoOf = ({ hash }: CarriedMedia, find: FindDocument): MediaInfo | undefined => {
  const document = find(hash);
  return document?.kind === "media" ? document : undefined;
};

const TYPES = { picture: t`picture`, video: t`clip`, sound: t`sound` } as const;

export const mediaPart: Part<CarriedMedia> = {
  one: t`picture, clip or sound`,
  many: t`pictures, clips and sounds`,
  schema,
  nameOf: (thing, find) => infoOf(thing, find)?.name ?? thing.id,
  aboutOf: (thing, find) => {
    const info = infoOf(thing, find);
    if (!info) return "";
    return info.type === "sound" ? TYPES.sound : `${TYPES[info.type]}, ${info.widthPx}×${info.heightPx}`;
  },
  essenceOf: ({ hash, folder, tags }) => ({ hash, folder, tags }),
  twinOf: ({ hash }) => hash,
  differences: (here, there, find) => {
    const [ours, theirs] = [infoOf(here, find), infoOf(there, find)];
    return [
      ...(ours?.name !== theirs?.name ? [t`called “${theirs?.name ?? ""}” there`] : []),
      ...(ours?.file !== theirs?.file ? [t`another file there`] : []),
      ...(here.folder !== there.folder || String(here.tags) !== String(there.tags)
        ? [t`in another folder or with other tags there`]
        : []),
      ...(JSON.stringify(ours?.key) !== JSON.stringify(theirs?.key) ? [t`cut out otherwise there`] : []),
    ];
  },
  another: (thing, { id }) => ({ ...thing, id }),
};
