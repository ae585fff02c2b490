import { randomUUID } from "node:crypto";
import { t } from "../../core/language/t.ts";
import { fieldNamesOf, fieldSetSchema } from "../../core/scene/fieldSet.ts";
import { findUnknownFields } from "../../core/scene/findReferenceFaults.ts";
import { type HouseStyle, houseStyleSchema } from "../../core/scene/houseStyle.ts";
import { readTemplate } from "../../core/scene/readTemplate.ts";
import { withLibraryMedia } from "../../core/scene/templateMedia.ts";
import type { Aside } from "../aside/aside.ts";
import type { IncomingFile } from "../files/incoming.ts";
import type { DesignFile } from "../files/readDesignFile.ts";
import { FONT_FILES } from "../fonts/shippedFonts.ts";
import type { DesignStore } from "../store/designStore.ts";
import type { FontStore } from "../store/fontStore.ts";
import type { MediaStore } from "../store/mediaStore.ts";
import type { TemplatesEditor } from "./editTemplates.ts";
import { freeName } from "./exportDesign.ts";

interface Parts {
  readonly designs: DesignStore;
  readonly templates: TemplatesEditor;
  readonly media: MediaStore;
  readonly fonts: FontStore;
  readonly addFont: FontStore["add"];
  readonly aside: Aside;
  readonly show: { readonly layers: readonly { readonly id: string }[] };
  readonly now: () => number;
}

export interface WantedDesign {
  readonly file: IncomingFile;
  /** The outfit that is to offer it, where it is a template. */
  readonly outfitId: string;
  /** Key of the template in whose place it comes. */
  readonly replaces: string | null;
  readonly actor: string;
}

/** What came in. */
export interface BroughtDesign {
  readonly kind: "template" | "style";
  readonly name: string;
  /** What could not be read in it, or is missing here. */
  readonly problems: readonly string[];
}

/** Takes in a template or house style from a file, with what was packed with it. What is on air stays as it is. */
export async function bringDesign(
  parts: Parts,
  { file, ...wanted }: WantedDesign,
  signal?: AbortSignal,
): Promise<BroughtDesign | { readonly problem: string }> {
  try {
    const read = await parts.aside.run("readDesignFile", { path: file.path }, signal);
    if ("problem" in read) return read;
    return isStyle(read.document)
      ? await bringStyle(parts, read, wanted)
      : await bringTemplate(parts, read, wanted);
  } finally {
    await parts.media.incoming.discard(file);
  }
}

function isStyle(json: string): boolean {
  try {
    return (JSON.parse(json) as { kind?: unknown } | null)?.kind === "style";
  } catch {
    return false;
  }
}

async function bringTemplate(
  parts: Parts,
  file: DesignFile,
  { outfitId, replaces, actor }: Omit<WantedDesign, "file">,
): Promise<BroughtDesign | { readonly problem: string }> {
  const { designs, templates } = parts;
  const read = readTemplate(file.document);
  if ("problem" in read) return read;
  const { fieldSet } = read.template;
  const problems = [...read.problems];
  const refused = templates.whyNot(outfitId, read.template, replaces);
  if (refused) return refused;
  await addFields(parts, file, fieldSet, actor);
  if (!designs.find("fieldSet", fieldSet)?.published)
    return {
      problem: t`The template is for fields called “${fieldSet}”, which no page has. Nothing was changed.`,
    };
  const brought = await addMedia(parts, file, problems);
  await addFonts(parts, file, problems);
  const { template } = withLibraryMedia(read.template, (name) => brought.get(name));
  const offered = await templates.offer(outfitId, template, actor, replaces);
  if ("problem" in offered) return offered;
  const fields = designs.find("fieldSet", fieldSet)?.published?.doc;
  if (fields)
    problems.push(
      ...findUnknownFields(offered.template, fieldNamesOf(fields)).map(({ sentence }) => sentence),
    );
  return { kind: "template", name: offered.template.name, problems: [...problems, ...offered.told] };
}

/** The fields of a template that comes to a show without such pages. */
async function addFields(
  { designs, show, now }: Parts,
  { fields }: DesignFile,
  id: string,
  actor: string,
): Promise<void> {
  if (fields === null || designs.find("fieldSet", id)?.published) return;
  const read = fieldSetSchema.safeParse(parsed(fields));
  if (!read.success || read.data.id !== id) return;
  const { layerId } = read.data;
  const here = show.layers.some((layer) => layer.id === layerId) ? layerId : show.layers.at(-1)?.id;
  if (here === undefined) return;
  await designs.add(
    { kind: "fieldSet", id },
    { ...read.data, layerId: here },
    { actor, atMs: now(), isDraft: false },
  );
}

/** @returns names in the pack → hashes in this library */
async function addMedia(
  { media, now }: Parts,
  { about, files }: DesignFile,
  problems: string[],
): Promise<ReadonlyMap<string, string>> {
  const brought = new Map<string, string>();
  for (const { name, file, poster, key } of about.media) {
    const bytes = files.get(file);
    if (!bytes) {
      problems.push(t`The archive does not hold “${name}”: a stand-in is shown where the library has none.`);
      continue;
    }
    const held = await media.incoming.hold(bytes);
    const same = media.list().find(({ info }) => info.file === held.hash);
    if (same) {
      await media.incoming.discard(held);
      brought.set(name, same.hash);
      continue;
    }
    const still = (poster && files.get(poster)) || new Uint8Array();
    const free = freeName(name, (taken) => media.list().some(({ info }) => info.name === taken));
    const added = await media.add({ id: randomUUID(), name: free, file: held, poster: still, key }, now());
    if ("problem" in added) problems.push(added.problem);
    else brought.set(name, added.item.hash);
  }
  return brought;
}

/** @returns ids of fonts in the pack → ids here */
async function addFonts(
  { fonts, media, addFont }: Parts,
  { about, files }: DesignFile,
  problems: string[],
): Promise<ReadonlyMap<string, string>> {
  const brought = new Map<string, string>();
  for (const { id, name, file } of about.fonts) {
    const bytes = files.get(file);
    if (!bytes) continue;
    const held = await media.incoming.hold(bytes);
    const same = fonts.list().find((font) => font.file === held.hash);
    if (same) {
      await media.incoming.discard(held);
      brought.set(id, same.id);
      continue;
    }
    const added = await addFont(randomUUID(), name, held);
    if ("problem" in added) problems.push(added.problem);
    else brought.set(id, added.font.id);
  }
  return brought;
}

async function bringStyle(
  parts: Parts,
  file: DesignFile,
  { actor }: Pick<WantedDesign, "actor">,
): Promise<BroughtDesign | { readonly problem: string }> {
  const { designs, fonts, now } = parts;
  const read = houseStyleSchema.safeParse(parsed(file.document));
  if (!read.success) {
    const [issue] = read.error.issues;
    return {
      problem: t`The house style cannot be read (${issue?.path.join(".")}: ${issue?.message}). Nothing was changed.`,
    };
  }
  const problems: string[] = [];
  const brought = await addFonts(parts, file, problems);
  const missing = new Set<string>();
  const style = withFonts(read.data, (id) => {
    const here = brought.get(id) ?? id;
    if (!FONT_FILES.has(here) && !fonts.list().some((font) => font.id === here)) missing.add(here);
    return here;
  });
  for (const id of missing)
    problems.push(
      t`The font “${id}” is not here: words in it are set in another. Bring in its file, then choose it.`,
    );
  const taken = new Set(designs.list("style").map(({ published, draft }) => (draft ?? published?.doc)?.name));
  const name = freeName(style.name, (each) => taken.has(each)).slice(0, 80);
  await designs.add(
    { kind: "style", id: randomUUID() },
    { ...style, name },
    { actor, atMs: now(), isDraft: false },
  );
  return { kind: "style", name, problems };
}

function withFonts(style: HouseStyle, idHere: (id: string) => string): HouseStyle {
  const cut = (ids: readonly string[]) => ids.map(idHere);
  return {
    ...style,
    fonts: Object.fromEntries(
      Object.entries(style.fonts).map(([role, { regular, bold, italic, boldItalic }]) => [
        role,
        { regular: cut(regular), bold: cut(bold), italic: cut(italic), boldItalic: cut(boldItalic) },
      ]),
    ),
  };
}

function parsed(json: string): unknown {
  try {
    return JSON.parse(json);
  } catch {
    return undefined;
  }
}
