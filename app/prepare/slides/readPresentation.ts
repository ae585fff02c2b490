import { unzip } from "fflate";
import { t } from "../../../core/language/t.ts";

/** What is taken of one slide of a presentation: its words and pictures, not its look. */
export interface PresentationSlide {
  readonly title: string;
  /** Lines below the title. */
  readonly points: readonly string[];
  readonly notes: string;
  readonly pictures: readonly { readonly name: string; readonly picture: Blob }[];
}

const MOST_SLIDES = 500;
const LARGEST_BYTES = 1024 * 1024 * 1024;
/** What the XML of one slide may have. */
const LARGEST_XML_BYTES = 8 * 1024 * 1024;
const WANTED =
  /^ppt\/(?:presentation\.xml|_rels\/presentation\.xml\.rels|(?:slides|notesSlides)\/(?:_rels\/)?[\w.]+\.(?:xml|rels)|media\/[^/]+\.(?:png|jpe?g|webp|gif))$/i;
const TYPES: Readonly<Record<string, string>> = {
  png: "image/png",
  jpg: "image/jpeg",
  jpeg: "image/jpeg",
  webp: "image/webp",
  gif: "image/gif",
};

/**
 * Reads a presentation (ECMA-376, PresentationML): the words, pictures and notes of its slides, in their order. Macros are not looked
 * at. @returns a sentence where it cannot be read
 */
export async function readPresentation(
  file: File,
): Promise<readonly PresentationSlide[] | { readonly problem: string }> {
  const broken = {
    problem: t`“${file.name}” is no presentation that can be read, or a broken one. Nothing was added; save it as PDF where it comes from, which also keeps its look.`,
  };
  const parts = await unpack(new Uint8Array(await file.arrayBuffer()));
  if (!parts) return broken;
  try {
    const pack = new Pack(parts);
    const order = pack.targets("ppt/presentation.xml", "sldId").slice(0, MOST_SLIDES);
    return order.length === 0 ? broken : order.map((path) => readSlide(pack, path));
  } catch {
    return broken;
  }
}

function unpack(bytes: Uint8Array): Promise<Readonly<Record<string, Uint8Array>> | undefined> {
  let total = 0;
  let isTooMuch = false;
  return new Promise((resolve) =>
    unzip(
      bytes,
      {
        filter: ({ name, originalSize }) => {
          if (!WANTED.test(name)) return false;
          total += originalSize;
          isTooMuch ||=
            total > LARGEST_BYTES || (/xml|rels$/i.test(name) && originalSize > LARGEST_XML_BYTES);
          return !isTooMuch;
        },
      },
      (error, files) => resolve(error || isTooMuch ? undefined : files),
    ),
  );
}

/** The parts of a package and what they refer to. Source: ECMA-376 part 2, relationships. */
class Pack {
  readonly #parts: Readonly<Record<string, Uint8Array>>;

  constructor(parts: Readonly<Record<string, Uint8Array>>) {
    this.#parts = parts;
  }

  file(path: string): Uint8Array | undefined {
    return Object.hasOwn(this.#parts, path) ? this.#parts[path] : undefined;
  }

  /** @throws when it is no XML, or has a document type */
  xml(path: string): Document | undefined {
    const bytes = this.file(path);
    if (!bytes) return undefined;
    const text = new TextDecoder().decode(bytes);
    if (/<!DOCTYPE/i.test(text)) throw new Error("a document type");
    const document = new DOMParser().parseFromString(text, "application/xml");
    if (document.getElementsByTagName("parsererror").length > 0) throw new Error("no XML");
    return document;
  }

  /** Parts that elements of this name refer to, in the order in which they stand. */
  targets(path: string, element: string, attribute = "id"): string[] {
    const ids = this.#relations(path);
    return byName(this.xml(path), element).flatMap((each) => {
      const id = each.getAttributeNS(RELATIONS, attribute);
      return (id !== null && ids.get(id)?.path) || [];
    });
  }

  /** Parts of a kind that a part refers to, wherever. */
  related(path: string, kind: string): string[] {
    return [...this.#relations(path).values()]
      .filter(({ type }) => type.endsWith(`/${kind}`))
      .map((each) => each.path);
  }

  #relations(path: string): ReadonlyMap<string, { readonly path: string; readonly type: string }> {
    const at = path.lastIndexOf("/");
    const folder = path.slice(0, at);
    const document = this.xml(`${folder}/_rels/${path.slice(at + 1)}.rels`);
    return new Map(
      byName(document, "Relationship")
        .filter((each) => each.getAttribute("TargetMode") !== "External")
        .map((each) => [
          each.getAttribute("Id") ?? "",
          {
            path: resolve(folder, each.getAttribute("Target") ?? ""),
            type: each.getAttribute("Type") ?? "",
          },
        ]),
    );
  }
}

const RELATIONS = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
const byName = (document: Document | Element | undefined, name: string): Element[] => [
  ...(document?.getElementsByTagNameNS("*", name) ?? []),
];

/** "../media/image1.png" of "ppt/slides". */
function resolve(folder: string, target: string): string {
  if (target.startsWith("/")) return target.slice(1);
  const parts = folder.split("/");
  for (const part of target.split("/"))
    if (part === "..") parts.pop();
    else if (part !== ".") parts.push(part);
  return parts.join("/");
}

function readSlide(pack: Pack, path: string): PresentationSlide {
  const shapes = byName(pack.xml(path), "sp").map((shape) => ({
    kind: byName(shape, "ph")[0]?.getAttribute("type") ?? "",
    lines: linesOf(shape),
  }));
  const isTitle = ({ kind }: { readonly kind: string }) => kind === "title" || kind === "ctrTitle";
  const [notesPath] = pack.related(path, "notesSlide");
  const notes = notesPath === undefined ? [] : byName(pack.xml(notesPath), "sp");
  return {
    title: shapes
      .filter(isTitle)
      .flatMap(({ lines }) => lines)
      .join(" "),
    points: shapes
      .filter((shape) => !isTitle(shape) && !["dt", "ftr", "sldNum"].includes(shape.kind))
      .flatMap(({ lines }) => lines),
    notes: notes
      .filter((shape) => byName(shape, "ph")[0]?.getAttribute("type") === "body")
      .flatMap(linesOf)
      .join("\n"),
    pictures: pack.targets(path, "blip", "embed").flatMap((name) => {
      const bytes = pack.file(name);
      const type = TYPES[name.split(".").at(-1)?.toLowerCase() ?? ""];
      return bytes && type ? [{ name, picture: new Blob([bytes as Uint8Array<ArrayBuffer>], { type }) }] : [];
    }),
  };
}

/** Paragraphs of a shape that have words. Source: ECMA-376 part 1, DrawingML text. */
const linesOf = (shape: Element): string[] =>
  byName(shape, "p")
    .map((paragraph) =>
      byName(paragraph, "t")
        .map((run) => run.textContent ?? "")
        .join("")
        .replace(/\s+/g, " ")
        .trim(),
    )
    .filter((line) => line !== "");
