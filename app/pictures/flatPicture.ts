import type { Placement } from "../../core/compose/placements.ts";
import { FlatStage } from "../../painters/flatStage.ts";
import { PlateCache } from "../../painters/plateCache.ts";
import type { Drawing } from "../live/drawing.ts";
import standIn from "../live/standInPicture.svg";

export interface OpenedPicture {
  readonly draw: () => void;
  readonly discard: () => void;
}

/** Opens a picture in an element, at a scale of device pixels to each pixel of the page. */
export type OpenPicture = (
  root: HTMLElement,
  drawing: Drawing,
  scale: number,
  size: { readonly widthPx: number; readonly heightPx: number },
  placements: () => readonly Placement[],
) => OpenedPicture;

/** What stands in for the program picture, loaded once. */
let program: HTMLImageElement | undefined;
const PROGRAM_SIZE = { widthPx: 1920, heightPx: 1080 };
/** Of one canvas, 64 MiB: what is looked at closer than that is stretched, instead of half a gigabyte for a corner of it. */
const MOST_PIXELS = 16 * 1024 * 1024;

/** A picture on one canvas, drawn when it is asked for and again when a file of it has come. */
export const openFlatPicture: OpenPicture = (
  root,
  drawing,
  wantedScale,
  { widthPx, heightPx },
  placements,
) => {
  program ??= Object.assign(new Image(), { src: standIn });
  const image = program;
  const scale = Math.min(wantedScale, Math.sqrt(MOST_PIXELS / (widthPx * heightPx)));
  const plates = new PlateCache(drawing.kit, scale);
  const stage = new FlatStage(root, {
    ...{ plates, widthPx, heightPx },
    program: () => ({ image, ...PROGRAM_SIZE }),
  });
  const draw = () => stage.draw(placements());
  image.addEventListener("load", draw);
  const endRepaint = drawing.shelf.onLoaded((file) => {
    plates.repaint(file);
    draw();
  });
  return {
    draw,
    discard: () => {
      image.removeEventListener("load", draw);
      endRepaint();
      stage.discard();
    },
  };
};
