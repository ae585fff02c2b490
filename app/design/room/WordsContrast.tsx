import { useEffect, useState } from "react";
import { legibilityOf } from "../../../core/color/legibility.ts";
import { t } from "../../../core/language/t.ts";
import type { Rect } from "../../../core/picture/picture.ts";
import type { LaidOutPage } from "../../../core/scene/part.ts";
import { contrastOfWords } from "../../../painters/contrastOfWords.ts";
import type { Drawing } from "../../live/drawing.ts";
import { arrival } from "../../pictures/arrival.ts";
import { RESTING_MS } from "../../pictures/useLaidOut.ts";
import { ContrastFigure } from "../ContrastFigure.tsx";

/** It is measured when the hand rests: not at each step of a drag, ms. */
const SETTLED_MS = 200;
const RESTING = { slot: arrival, atMs: RESTING_MS };

/** How well the words of an object can be read on what lies behind them, at rest, whatever picture the page is over. */
export function WordsContrast({
  page,
  drawing,
  objectId,
  box,
}: {
  page: LaidOutPage;
  drawing: Drawing;
  objectId: string;
  box: Rect | undefined;
}) {
  const [measured, setMeasured] = useState<{ readonly of: string; readonly ratio: number | null }>();
  const [filesCome, setFilesCome] = useState(0);
  useEffect(() => drawing.shelf.onLoaded(() => setFilesCome((count) => count + 1)), [drawing]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a picture that came lies behind the words from now on
  useEffect(() => {
    const timer = setTimeout(() => {
      const ratio = box ? contrastOfWords(page, { objectId, box }, RESTING, drawing.kit) : null;
      setMeasured({ of: objectId, ratio });
    }, SETTLED_MS);
    return () => clearTimeout(timer);
  }, [page, drawing, objectId, box, filesCome]);
  if (measured?.of !== objectId || measured.ratio === null) return null;
  const { ratio } = measured;
  return (
    <p aria-live="polite">
      <ContrastFigure on={t`Whatever is behind:`} ratio={ratio} legibility={legibilityOf(ratio, false)} />
    </p>
  );
}
