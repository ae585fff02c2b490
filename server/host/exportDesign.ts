import { statSync } from "node:fs";
import { type DesignPack, MOST_PACK_BYTES } from "../../core/design/designPack.ts";
import { t } from "../../core/language/t.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import { allObjects, type Template } from "../../core/scene/template.ts";
import { mediaNamedBy, withMediaNames } from "../../core/scene/templateMedia.ts";
import type { DesignToPack } from "../files/packDesign.ts";
import type { ContentStore } from "../store/contentStore.ts";
import { type DesignStore, docOf } from "../store/designStore.ts";
import type { AddedFont, FontStore } from "../store/fontStore.ts";
import type { HouseStore } from "../store/houseStore.ts";
import type { MediaStore } from "../store/mediaStore.ts";

interface Parts {
  readonly designs: DesignStore;
  readonly contents: ContentStore;
  readonly media: MediaStore;
  readonly fonts: FontStore;
  readonly house: HouseStore;
}

const asJson = (doc: object): string => JSON.stringify(doc, null, 1);

/**
 * A template or house style as it is being made, with what another show needs to wear it: its fields, its pictures and clips, and
 * the fonts that were added by file. Fonts that may not be carried stay behind, and the other show is told their names.
 */
export function designToPack(
  parts: Parts,
  kind: "template" | "style",
  id: string,
): DesignToPack | { readonly problem: string } {
  const { designs } = parts;
  const packed = new Packed(parts);
  if (kind === "style") {
    const design = designs.find("style", id);
    if (!design) return GONE;
    const style = docOf(design);
    packed.addFonts(style, () => true);
    return packed.whole({ kind, document: asJson(style), fields: null });
  }
  const design = designs.find("template", id);
  if (!design) return GONE;
  const template = docOf(design);
  const names = packed.addMedia(template);
  const roles = rolesOf(template);
  packed.addFonts(parts.house.style, (role) => roles.has(role));
  const fields = designs.find("fieldSet", template.fieldSet);
  return packed.whole({
    kind,
    document: asJson(withMediaNames(template, (hash) => names.get(hash))),
    fields: fields ? asJson(docOf(fields)) : null,
  });
}

const GONE = { problem: t`It was deleted meanwhile, so there is nothing to export.` };

class Packed {
  readonly #parts: Parts;
  readonly #media: DesignPack["media"] = [];
  readonly #fonts: DesignPack["fonts"] = [];
  readonly #files = new Map<string, string>();

  constructor(parts: Parts) {
    this.#parts = parts;
  }

  /** @returns what of the library is called in the pack, by hash */
  addMedia(template: Template): ReadonlyMap<string, string> {
    const names = new Map<string, string>();
    for (const hash of mediaNamedBy(template)) {
      const info = this.#parts.contents.find(hash);
      if (info?.kind !== "media") continue;
      const name = freeName(info.name, (taken) => [...names.values()].includes(taken));
      const file = this.#addFile("media", name, info.file);
      if (!file) continue;
      names.set(hash, name);
      this.#media.push({ name, file, poster: this.#addPoster(name, info), key: info.key });
    }
    return names;
  }

  #addPoster(name: string, { poster }: MediaInfo): string | null {
    return (poster && this.#addFile("media", `${name}.png`, poster)) || null;
  }

  addFonts(style: HouseStyle, isWanted: (role: string) => boolean): void {
    const ids = new Set(
      Object.entries(style.fonts)
        .filter(([role]) => isWanted(role))
        .flatMap(([, { regular, bold, italic, boldItalic }]) => [regular, bold, italic, boldItalic].flat()),
    );
    for (const font of this.#parts.fonts.list()) if (ids.has(font.id)) this.#addFont(font);
  }

  #addFont({ id, name, file, embedding }: AddedFont): void {
    if (embedding === "restricted") return;
    const place = this.#addFile("fonts", name, file);
    if (place) this.#fonts.push({ id, name, file: place });
  }

  /** @returns its place in the archive; undefined when it is gone from the disk */
  #addFile(folder: "media" | "fonts", name: string, file: string): string | undefined {
    const path = this.#parts.media.findFile(file);
    if (path === undefined) return undefined;
    const plain = name.replace(/[/\\\p{Cc}]+/gu, " ").slice(0, 140);
    const place = `${folder}/${freeName(plain, (taken) => this.#files.has(`${folder}/${taken}`))}`;
    this.#files.set(place, path);
    return place;
  }

  whole(
    document: Pick<DesignToPack, "kind" | "document" | "fields">,
  ): DesignToPack | { readonly problem: string } {
    const bytes = [...this.#files.values()].reduce((sum, path) => sum + statSync(path).size, 0);
    if (bytes > MOST_PACK_BYTES)
      return {
        problem: t`Its pictures, clips and fonts have ${Math.round(bytes / 1024 / 1024)} MB; a file holds ${MOST_PACK_BYTES / 1024 / 1024} MB at most. Export it alone, and bring them over by themselves.`,
      };
    return { ...document, about: { format: 1, media: this.#media, fonts: this.#fonts }, files: this.#files };
  }
}

/** "lake.png", or "lake 2.png" where that is taken. */
export function freeName(name: string, isTaken: (name: string) => boolean): string {
  const dot = name.lastIndexOf(".");
  const [stem, ending] = dot > 0 ? [name.slice(0, dot), name.slice(dot)] : [name, ""];
  let free = name;
  for (let n = 2; isTaken(free); n++) free = `${stem} ${n}${ending}`;
  return free;
}

/** Roles of fonts that a template names. */
const rolesOf = (template: Template): ReadonlySet<string> =>
  new Set(
    allObjects(template).flatMap(({ object }) =>
      "font" in object && typeof object.font === "string" ? [object.font] : [],
    ),
  );
