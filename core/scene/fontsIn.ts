import type { Part, Plate } from "./part.ts";

/** The fonts that the words of some parts are set in, each once. */
export function fontsIn(parts: readonly Part[]): string[] {
  const fonts = new Set<string>();
  const look = ({ picture }: Plate) => {
    for (const item of picture.items) if (item.kind === "glyphs") fonts.add(item.fontId);
  };
  const walk = (all: readonly Part[]) => {
    for (const { content } of all)
      switch (content.kind) {
        case "plate":
        case "shape":
          look(content.plate);
          break;
        case "cells":
          for (const { plate } of content.cells) look(plate);
          break;
        case "figures":
          for (const { plate } of Object.values(content.figures)) look(plate);
          break;
        case "strip":
          for (const { plate } of content.tiles) look(plate);
          break;
        case "group":
          walk(content.parts);
          break;
        case "gauge":
        case "video":
        case "sound":
        case "program":
          break;
      }
  };
  walk(parts);
  return [...fonts];
}
