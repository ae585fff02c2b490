import { z } from "zod";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import { eveningFieldsSchema } from "../../rundown/evening.ts";
import { cueKind } from "../../stored/kinds/cue.ts";
import type { Part } from "../part.ts";
import { storedDoc } from "../storedDoc.ts";
import { cueWithNames } from "./cueIds.ts";

/** Cues of one evening. */
const MOST_CUES = 10_000;

const schema = z.strictObject({
  id: nameSchema(60),
  ...eveningFieldsSchema.shape,
  createdAtMs: z.number().int().min(0),
  /** In their order. */
  cues: z.array(z.strictObject({ id: nameSchema(60), doc: storedDoc(cueKind) })).max(MOST_CUES),
  /** Steps that were looked at in the walk through. */
  seen: z
    .array(z.strictObject({ key: z.string().max(200), atMs: z.number().int(), by: z.string().max(80) }))
    .max(20_000),
});
export type CarriedEvening = z.infer<typeof schema>;

const docsById = ({ cues }: CarriedEvening) => new Map(cues.map(({ id, doc }) => [id, JSON.stringify(doc)]));

export const eveningPart: Part<CarriedEvening> = {
  one: t`evening`,
  many: t`evenings`,
  schema,
  nameOf: ({ name }) => name,
  aboutOf: ({ cues, day }) => [count(cues.length), ...(day === "" ? [] : [day])].join(", "),
  essenceOf: ({ createdAtMs: _c, seen: _s, ...evening }) => evening,
  differences: (here, there) => {
    const [ours, theirs] = [docsById(here), docsById(there)];
    const added = [...theirs.keys()].filter((id) => !ours.has(id)).length;
    const missing = [...ours.keys()].filter((id) => !theirs.has(id)).length;
    const other = [...theirs].filter(([id, doc]) => ours.has(id) && ours.get(id) !== doc).length;
    return [
      ...(added > 0 ? [t`${count(added)} only there`] : []),
      ...(missing > 0 ? [t`${count(missing)} only here`] : []),
      ...(other > 0 ? [t`${count(other)} with other words or settings`] : []),
      ...(added + missing + other === 0 ? [t`another name, day, time or order`] : []),
    ];
  },
  another: (evening, { id }) => ({ ...evening, id, name: t`${evening.name} (brought)`.slice(0, 120) }),
  renamed: (evening, rename) => ({
    ...evening,
    cues: evening.cues.map(({ id, doc }) => ({ id: rename("cue", id), doc: cueWithNames(doc, rename) })),
  }),
};

const count = (n: number): string => `${n} ${n === 1 ? t`cue` : t`cues`}`;
