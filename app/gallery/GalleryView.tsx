import { useEffect, useMemo } from "react";
import { layOut } from "../../core/scene/layOut.ts";
import type { LaidOutPage } from "../../core/scene/part.ts";
import { FALLBACK_FONTS } from "../../core/text/fontList.ts";
import { HARBOUR_LAMP } from "../../designs/houseStyles.ts";
import { useDrawing } from "../desk/deskContext.ts";
import type { Drawing } from "../live/drawing.ts";
import { PagePicture } from "../pictures/PagePicture.tsx";
import { EXHIBITS } from "./exhibits.ts";
import { openLayeredPicture } from "./layeredPicture.ts";
import { PainterCheck } from "./PainterCheck.tsx";
import { openPaintDoor } from "./paintDoor.ts";

/** Fractions of a second into a page: before, during and after its arrival. */
const INSTANTS_MS = [120, 320, 700, 4_000];

export function GalleryView() {
  const drawing = useDrawing();
  if (!drawing) return <p className="p-5">The fonts are on their way.</p>;
  return <Exhibition drawing={drawing} />;
}

function Exhibition({ drawing }: { drawing: Drawing }) {
  useEffect(() => openPaintDoor(drawing), [drawing]);
  const pages = useMemo(
    () =>
      EXHIBITS.map(({ template, values }) =>
        layOut(template, values, HARBOUR_LAMP, template.canvas, {
          shaper: drawing.shaper,
          fallbackFonts: FALLBACK_FONTS,
          timeZone: drawing.timeZone,
        }),
      ),
    [drawing],
  );
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
    <main aria-label="Gallery" className="min-h-0 flex-1 overflow-y-auto px-4 py-3" tabIndex={0}>
      <PainterCheck pages={pages} drawing={drawing} />
      <div className="grid grid-cols-[190px_repeat(4,minmax(0,1fr))] items-center gap-x-2 gap-y-2 text-[14px]">
        <span className="text-second">object, mode</span>
        {INSTANTS_MS.map((ms) => (
          <span key={ms} className="font-mono text-second">
            {ms} ms
          </span>
        ))}
        {EXHIBITS.map(({ name }, i) => (
          <Row key={name} name={name} page={pages[i] as LaidOutPage} drawing={drawing} />
        ))}
      </div>
    </main>
  );
}

function Row({ name, page, drawing }: { name: string; page: LaidOutPage; drawing: Drawing }) {
  const pages = useMemo(() => [page], [page]);
  return (
    <>
      <span>{name}</span>
      {INSTANTS_MS.map((atMs) => (
        <PagePicture
          key={atMs}
          pages={pages}
          drawing={drawing}
          atMs={atMs}
          label={`${name} at ${atMs} ms`}
          ground="linear-gradient(120deg, #24384a, #6b5b4a)"
          open={openLayeredPicture}
        />
      ))}
    </>
  );
}
