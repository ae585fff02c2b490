import { LRUCache } from "lru-cache";
import type { Anchor } from "../rundown/anchor.ts";
import type { PageContent } from "../rundown/content.ts";
import type { Documents } from "../rundown/pinnedDocument.ts";
import { textAhead, valuesAt } from "../rundown/steps.ts";
import {
  type FallbackFonts,
  type LaidOutPage,
  LayOutMemory,
  layOut,
  type PageSize,
} from "../scene/layOut.ts";
import { shapeFor, shapesApart } from "../scene/shapes.ts";
import type { Template } from "../scene/template.ts";
import type { Target } from "../show/line.ts";
import type { ShownPage } from "../show/slot.ts";
import type { Shaper } from "../text/shaper.ts";
import { FRAME_RATES } from "../time/timecode.ts";
import { picturesNamed } from "../values/liveChain.ts";
import type { Canvas } from "../venue/plan.ts";
import type { Dress } from "./compose.ts";
import { templateOnScreen } from "./templateOnScreen.ts";

/** Laid-out pages kept; one is a few tens of kilobytes. */
const KEPT_PAGES = 240;

/**
 * Dresses pinned pages for outputs and remembers the results, so that a state that moves on lays out only what
 * is new. A document that has not arrived yet gives undefined, and is asked for again next time.
 */
export function createDresser(
  documents: Documents,
  shaper: Shaper,
  fallbackFonts: FallbackFonts,
  timeZone: string,
): LearningDress {
  const known = new LRUCache<string, LaidOutPage>({ max: KEPT_PAGES });
  const memory = new LayOutMemory();
  const media = (hash: string) => {
    const document = documents.get(hash);
    return document?.kind === "media" ? document : undefined;
  };
  /** The words of an armed step as an outfit shows them; undefined when it brings none. */
  const aheadOf = (armed: Target, outfitId: string): string | undefined => {
    const content = documents.get(armed.content);
    return content?.kind === "page" ? textAhead(content, outfitId, armed.step) : undefined;
  };
  /** What a page wears, and under which key it is remembered. */
  const find = (...[page, outfitId, output, armed]: Parameters<Dress>) => {
    const content = documents.get(page.content);
    if (content?.kind !== "page") return undefined;
    const worn = templateOnScreen(content, page.step, outfitId, output, documents);
    if (!worn) return undefined;
    const { outfitId: shaped } = worn;
    const ahead = armed && content.flow ? aheadOf(armed, shaped) : undefined;
    const key =
      pageKey(page.content, page.step, shaped, output) +
      (ahead === undefined ? "" : `/${ahead}`) +
      (page.live ? `/${JSON.stringify(page.live)}` : "");
    return { content, worn, shaped, ahead, key };
  };
  const dress: Dress = (page, outfitId, output, armed) => {
    const found = find(page, outfitId, output, armed);
    if (!found) return undefined;
    const { content, worn, shaped, ahead, key } = found;
    let laidOut = known.get(key);
    if (!laidOut) {
      const template = documents.get(worn.template);
      const style = documents.get(worn.style);
      const own = valuesAt(filledWith(content, page.live), shaped, page.step);
      const values = own && ahead !== undefined ? { ...own, next: ahead } : own;
      if (template?.kind !== "template" || style?.kind !== "style" || !values) return undefined;
      if (content.media.some((hash) => !documents.has(hash))) return undefined;
      if (
        page.live &&
        Object.values(page.live)
          .flatMap(picturesNamed)
          .some((hash) => !documents.has(hash))
      )
        return undefined;
      const { widthPx, heightPx, frameRate } = output;
      const area = areaOf(output, template);
      const size = { widthPx, heightPx, frameRate: FRAME_RATES[frameRate], ...(area && { area }) };
      const whole = layOut(template, values, style, size, {
        shaper,
        fallbackFonts,
        media,
        timeZone,
        memory,
        adjust: content.adjust,
        whole: content.whole,
      });
      laidOut = content.opacity === 1 ? whole : fainter(whole, content.opacity);
      known.set(key, laidOut);
    }
    return { templateHash: worn.template, laidOut };
  };
  return Object.assign(dress, {
    isKnown: (...asked: Parameters<Dress>) => known.has(find(...asked)?.key ?? ""),
    learn: (laidOut: LaidOutPage, ...asked: Parameters<Dress>) => {
      const found = find(...asked);
      if (found && !known.has(found.key)) known.set(found.key, laidOut);
    },
  });
}

/** Dresses pages, and takes in those that were laid out elsewhere by the same documents and fonts. */
export interface LearningDress extends Dress {
  /** Whether it has the page laid out already. */
  readonly isKnown: (...asked: Parameters<Dress>) => boolean;
  readonly learn: (laidOut: LaidOutPage, ...asked: Parameters<Dress>) => void;
}

/** A content with what fills it from feeds. */
const filledWith = (content: PageContent, live: ShownPage["live"]): PageContent =>
  live ? { ...content, values: { ...content.values, ...live } } : content;

/** A page less dense; another density is another content of its parts. */
const fainter = (page: LaidOutPage, opacity: number): LaidOutPage => ({
  ...page,
  parts: page.parts.map((part) => ({
    ...part,
    key: `${part.key} ${opacity}`,
    opacity: part.opacity * opacity,
  })),
});

/**
 * Where a page stands on a canvas of several screens: the whole, or, when its template is of the shape of one of them, that one, so
 * that no words lie over a seam. Each screen then has the page for itself.
 */
function areaOf(output: Canvas, template: Template): PageSize["area"] {
  const { part } = output;
  if (!part) return undefined;
  const screen = { widthPx: part.width, heightPx: part.height };
  const apart = (size: typeof screen) => shapesApart(size, shapeFor(template, size).canvas);
  return apart(output) <= apart(screen) ? undefined : part;
}

function pageKey(hash: string, step: Anchor, outfitId: string, output: Canvas): string {
  return `${hash}/${step.occurrence}/${step.unit}/${outfitId}/${output.widthPx}x${output.heightPx}@${output.frameRate}${output.part ? JSON.stringify(output.part) : ""}`;
}
