import { createDresser, type LearningDress } from "../../core/compose/dress.ts";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { canvasSize, type PaintKit, paintPicture } from "../../painters/paint.ts";
import { makeOffscreen, workerKit } from "./offscreen.ts";
import { createLateFonts, fallbackFonts, fontsChanged, loadShaper, onFonts, wordsIn } from "./shaper.ts";
import type { StudioAnswer, StudioRequest } from "./studio.ts";

/** Lays out and paints beside the window, with fonts and documents of its own: the same code, the same pictures. */
const documents = new Map<string, PinnedDocument>();
let dresser: LearningDress | undefined;
let lateFonts: ((words: string) => boolean) | undefined;

async function ready(timeZone: string): Promise<{ readonly dress: LearningDress; readonly kit: PaintKit }> {
  const { shaper } = await loadShaper();
  dresser ??= createDresser(documents, shaper, fallbackFonts(), timeZone);
  lateFonts ??= createLateFonts(shaper, layOutAnew);
  return {
    dress: dresser,
    kit: workerKit(shaper),
  };
}

/** Another font is here: what was laid out without it is laid out again, and the window asks anew. */
function layOutAnew(): void {
  dresser = undefined;
}
onFonts(layOutAnew);

async function answer(
  request: StudioRequest,
): Promise<{ readonly said: unknown; readonly sent: Transferable[] }> {
  switch (request.kind) {
    case "documents":
      for (const [hash, document] of request.documents) documents.set(hash, document);
      return { said: null, sent: [] };
    case "keep": {
      const kept = new Set(request.hashes);
      for (const hash of documents.keys()) if (!kept.has(hash)) documents.delete(hash);
      return { said: null, sent: [] };
    }
    case "fonts":
      await fontsChanged();
      return { said: null, sent: [] };
    case "layOut": {
      const { page, outfitId, output, timeZone } = request;
      const { dress } = await ready(timeZone);
      // Words that wait for a font are the window's: it has them laid out again when the font is there.
      const document = documents.get(page.content);
      const words = document && wordsIn(document) + JSON.stringify(page.live ?? {});
      if (words && lateFonts && !lateFonts(words)) return { said: null, sent: [] };
      return { said: dress(page, outfitId, output)?.laidOut ?? null, sent: [] };
    }
    case "paint": {
      const { picture, scale, signal, timeZone } = request;
      const { kit } = await ready(timeZone);
      const { widthPx, heightPx } = canvasSize(picture, scale);
      const { image, context } = makeOffscreen(widthPx, heightPx);
      paintPicture(context, picture, scale, kit, signal);
      const bitmap = (image as OffscreenCanvas).transferToImageBitmap();
      return { said: bitmap, sent: [bitmap] };
    }
  }
}

/** One after another, as they come. */
let queue: Promise<unknown> = Promise.resolve();
self.onmessage = ({ data }: MessageEvent<StudioRequest & { readonly id: number }>) => {
  const run = async () => {
    try {
      const { said, sent } = await answer(data);
      postMessage({ id: data.id, said } satisfies StudioAnswer, { transfer: sent });
    } catch (error) {
      postMessage({ id: data.id, problem: String(error) } satisfies StudioAnswer);
    }
  };
  queue = queue.then(run);
};
