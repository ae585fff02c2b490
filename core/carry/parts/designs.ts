import { z } from "zod";
import { DESIGN_KINDS, type DesignKindName, differenceInWords } from "../../design/designKinds.ts";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import { MOST_OFFERED } from "../../venue/outfit.ts";
import type { Another, FindDocument, Part, Rename } from "../part.ts";

const schema = z.strictObject({
  id: nameSchema(80),
  name: z.string().max(80),
  rank: z.number().int(),
  /** The version in use, among the documents; null: it was never published. */
  hash: z
    .string()
    .regex(/^[0-9a-f]{64}$/)
    .nullable(),
  /** What is being made of it, as it is stored; null: it is as it was published. */
  draft: z.record(z.string(), z.unknown()).nullable(),
});
export type CarriedDesign = z.infer<typeof schema>;

const WORDS: { readonly [K in DesignKindName]: readonly [string, string] } = {
  template: [t`template`, t`templates`],
  outfit: [t`outfit`, t`outfits`],
  style: [t`house style`, t`house styles`],
  fieldSet: [t`kind of page`, t`kinds of pages`],
};

/** What is made in Design, of one kind. */
function designPart<K extends DesignKindName>(
  kind: K,
  more: Pick<Part<CarriedDesign>, "another" | "renamed"> = {},
): Part<CarriedDesign> {
  const [one, many] = WORDS[kind];
  return {
    one,
    many,
    schema,
    nameOf: ({ name }) => name,
    aboutOf: ({ hash, draft }) =>
      hash === null ? "a draft" : draft === null ? "published" : t`published, with a draft`,
    essenceOf: ({ hash, draft }) => ({ hash, draft }),
    differences: (here, there, find) => {
      const [ours, theirs] = [published(kind, here, find), published(kind, there, find)];
      const words = ours && theirs ? differenceInWords(kind, ours, theirs) : [];
      return words.length > 0 ? words : [t`what is being made of it is other there`];
    },
    ...more,
  };
}

function published<K extends DesignKindName>(kind: K, { hash }: CarriedDesign, find: FindDocument) {
  const document = hash === null ? undefined : find(hash);
  const read = document && DESIGN_KINDS[kind].stored.schema.safeParse(document);
  return read?.success ? read.data : undefined;
}

/** Under a name and an id of its own; what is published of it is pinned anew. */
function another(design: CarriedDesign, { id, find, pin }: Another): CarriedDesign {
  const name = t`${design.name.slice(0, 70)} (brought)`;
  const document = design.hash === null ? undefined : find(design.hash);
  return {
    ...design,
    id,
    name,
    hash: document && "name" in document ? pin({ ...document, name }) : design.hash,
    draft: design.draft && { ...design.draft, name },
  };
}

export const templatePart = designPart("template", { another });
export const stylePart = designPart("style", { another });
export const outfitPart = designPart("outfit");
export const fieldSetPart = designPart("fieldSet");

/** An outfit that offers a template that came beside its namesake offers that one too. */
export function offering(
  outfit: CarriedDesign,
  came: ReadonlyMap<string, string>,
  { find, pin }: Pick<Another, "find" | "pin">,
): CarriedDesign | undefined {
  const document = outfit.hash === null ? undefined : find(outfit.hash);
  if (document?.kind !== "outfit") return undefined;
  const wears = Object.fromEntries(
    Object.entries(document.wears).map(([fieldSet, ids]) => {
      const more = ids.flatMap((id) => came.get(id) ?? []).filter((id) => !ids.includes(id));
      return [fieldSet, [...ids, ...more].slice(0, MOST_OFFERED)];
    }),
  );
  const isSame = Object.entries(wears).every(
    ([fieldSet, ids]) => ids.length === document.wears[fieldSet]?.length,
  );
  return isSame ? undefined : { ...outfit, hash: pin({ ...document, wears }) };
}

/** A house style with its fonts as they are called here. */
export function withFonts(
  style: CarriedDesign,
  rename: Rename,
  { find, pin }: Pick<Another, "find" | "pin">,
): CarriedDesign {
  const document = style.hash === null ? undefined : find(style.hash);
  if (document?.kind !== "style") return style;
  const named = (ids: readonly string[]) => ids.map((id) => rename("font", id));
  const fonts = Object.fromEntries(
    Object.entries(document.fonts).map(([role, { regular, bold, italic, boldItalic }]) => [
      role,
      { regular: named(regular), bold: named(bold), italic: named(italic), boldItalic: named(boldItalic) },
    ]),
  );
  return JSON.stringify(fonts) === JSON.stringify(document.fonts)
    ? style
    : { ...style, hash: pin({ ...document, fonts }) };
}
