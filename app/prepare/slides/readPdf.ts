import type { PDFDocumentProxy } from "pdfjs-dist";
import { t } from "../../../core/language/t.ts";
import { sharpWidthPx } from "../../../core/rundown/slides.ts";
import type { ReadSlide, SlideFile } from "./slideFile.ts";

/** Talks are shorter; what is longer is a book, and brought in parts. */
const MOST_PAGES = 500;
/** Pixels across, at most: what a library picture may have. */
const MOST_PX = 4_096;

/**
 * Opens a PDF: each page is a picture, sharp on every screen. Its scripts are never run.
 * @returns a sentence where it cannot be read
 */
export async function readPdf(
  file: File,
  screens: readonly { readonly widthPx: number; readonly heightPx: number }[],
): Promise<SlideFile | { readonly problem: string }> {
  const { getDocument, GlobalWorkerOptions } = await import("pdfjs-dist");
  GlobalWorkerOptions.workerSrc = (await import("pdfjs-dist/build/pdf.worker.min.mjs?url")).default;
  let pdf: PDFDocumentProxy;
  try {
    pdf = await getDocument({
      data: new Uint8Array(await file.arrayBuffer()),
      cMapUrl: "/pdf/cmaps/",
      standardFontDataUrl: "/pdf/standard_fonts/",
      isEvalSupported: false,
      enableXfa: false,
    }).promise;
  } catch (error) {
    return {
      problem:
        error instanceof Error && error.name === "PasswordException"
          ? t`“${file.name}” is locked with a password. Save it without one where it comes from, then bring it again.`
          : t`“${file.name}” is no PDF that can be read, or a broken one. Nothing was added; save it again where it comes from.`,
    };
  }
  const count = Math.min(pdf.numPages, MOST_PAGES);
  return {
    count,
    told:
      pdf.numPages > MOST_PAGES
        ? t`It has ${pdf.numPages} pages; the first ${MOST_PAGES} are brought in. Part it, and bring the rest by itself.`
        : null,
    read: (index) => readPage(pdf, index, screens),
    close: () => void pdf.destroy(),
  };
}

async function readPage(
  pdf: PDFDocumentProxy,
  index: number,
  screens: readonly { readonly widthPx: number; readonly heightPx: number }[],
): Promise<ReadSlide | { readonly problem: string }> {
  try {
    const page = await pdf.getPage(index + 1);
    const own = page.getViewport({ scale: 1 });
    const viewport = page.getViewport({ scale: sharpWidthPx(own, screens, MOST_PX) / own.width });
    const canvas = document.createElement("canvas");
    canvas.width = Math.round(viewport.width);
    canvas.height = Math.round(viewport.height);
    const canvasContext = canvas.getContext("2d", { alpha: false });
    if (!canvasContext) return { problem: t`this browser has no room for its picture` };
    await page.render({ canvasContext, viewport, background: "#ffffff" }).promise;
    const picture = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/png"));
    const { items } = await page.getTextContent();
    const annotations = await page.getAnnotations();
    page.cleanup();
    // Its memory is free at once.
    canvas.width = 0;
    if (!picture) return { problem: t`its picture could not be made` };
    return {
      picture,
      words: items.map((item) => ("str" in item ? `${item.str}${item.hasEOL ? "\n" : ""}` : "")).join(""),
      notes: annotations
        .flatMap(({ subtype, contentsObj }) => (subtype === "Text" ? [String(contentsObj?.str ?? "")] : []))
        .join("\n"),
    };
  } catch (error) {
    return { problem: error instanceof Error ? error.message : String(error) };
  }
}
