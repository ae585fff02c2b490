import DOMPurify from "dompurify";
import { type SvgDrawing, type SvgNode, svgShapes } from "../../../../core/design/edit/svgShapes.ts";
import { t } from "../../../../core/language/t.ts";

const LARGEST_BYTES = 2 * 1024 * 1024;
/** As a picture it is drawn so large that the canvas can be filled with it, px. */
const MOST_SIDE_PX = 3840;

/** An SVG file with everything active taken out of it. */
export interface CleanSvg {
  readonly kind: "svg";
  readonly name: string;
  /** As the browser shows it as a picture: nothing in it runs, and nothing is fetched. */
  readonly address: string;
  readonly drawing: SvgDrawing | { readonly problem: string };
}

/** Reads an SVG file. @returns a sentence where it is none, or too large */
export async function readSvg(file: File): Promise<CleanSvg | { readonly problem: string }> {
  if (file.size > LARGEST_BYTES)
    return { problem: t`“${file.name}” is larger than 2 MB, so it was not read. Nothing was changed.` };
  const clean = DOMPurify.sanitize(await file.text(), {
    USE_PROFILES: { svg: true, svgFilters: true },
    PARSER_MEDIA_TYPE: "application/xhtml+xml",
    NAMESPACE: "http://www.w3.org/2000/svg",
    FORBID_TAGS: ["a", "foreignObject", "image", "animate", "animateTransform", "set"],
    ADD_TAGS: ["style"],
    FORBID_ATTR: ["href", "xlink:href"],
  });
  const root = new DOMParser().parseFromString(String(clean), "image/svg+xml").documentElement;
  if (root.nodeName.toLowerCase() !== "svg")
    return { problem: t`“${file.name}” is not an SVG drawing that can be read. Nothing was changed.` };
  return {
    kind: "svg",
    name: file.name,
    address: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(String(clean))}`,
    drawing: svgShapes(nodeOf(root)),
  };
}

const nodeOf = (element: Element): SvgNode => ({
  name: element.localName,
  attributes: Object.fromEntries([...element.attributes].map(({ name, value }) => [name, value])),
  children: [...element.children].map(nodeOf),
  text: element.localName === "style" ? (element.textContent ?? "") : "",
});

/** A clean drawing as a PNG with alpha. @param widthPx of the canvas that it is for */
export async function pictureOfSvg({ name, address }: CleanSvg, widthPx: number): Promise<File | undefined> {
  const image = new Image();
  image.src = address;
  try {
    await image.decode();
  } catch {
    return undefined;
  }
  const [w, h] = [image.naturalWidth || 300, image.naturalHeight || 300];
  const scale = Math.min(widthPx / w, MOST_SIDE_PX / h, MOST_SIDE_PX / w);
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(w * scale));
  canvas.height = Math.max(1, Math.round(h * scale));
  canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/png"));
  return blob ? new File([blob], `${name.replace(/\.svg$/i, "")}.png`, { type: "image/png" }) : undefined;
}
