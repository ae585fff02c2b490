import { ElementStage } from "../../painters/elementStage.ts";
import { PlateCache } from "../../painters/plateCache.ts";
import type { OpenPicture } from "../pictures/flatPicture.ts";
import { makeProgramPicture } from "../pictures/programPicture.ts";

/** A picture of a canvas for each plate, as an output shows it: what is painted can be read back plate by plate. */
export const openLayeredPicture: OpenPicture = (root, drawing, scale, _size, placements) => {
  const element = document.createElement("div");
  Object.assign(element.style, { position: "absolute", inset: "0" });
  root.append(element);
  const plates = new PlateCache(drawing.kit, scale);
  const pixelRatio = window.devicePixelRatio;
  const stage = new ElementStage(element, { plates, scale, pixelRatio, makeProgram: makeProgramPicture });
  const endRepaint = drawing.shelf.onLoaded((file) => plates.repaint(file));
  return {
    draw: () => stage.draw(placements()),
    discard: () => {
      endRepaint();
      stage.discard();
      element.remove();
    },
  };
};
