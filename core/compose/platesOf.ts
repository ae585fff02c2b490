import type { Plate } from "../scene/part.ts";
import { looksOfPlate, NO_LOOKS, type PreparedLooks, withLooks } from "./mixedPlate.ts";
import type { Piece } from "./piece.ts";
import type { Placement } from "./placement.ts";

/** Every plate that pieces may show, their looks and characters included: what to paint ahead. */
export function platesOf(pieces: readonly Piece[], around: PreparedLooks = NO_LOOKS): Plate[] {
  return pieces.flatMap((piece) => platesOfPiece(piece, around));
}

function platesOfPiece({ content, looks }: Piece, around: PreparedLooks): Plate[] {
  const within = withLooks(looks, around);
  const all = (plates: readonly Plate[]) => plates.flatMap((plate) => looksOfPlate(plate, within));
  switch (content.kind) {
    case "plate":
    case "shape":
      return all([content.plate]);
    case "cells":
      return all(content.cells.map(({ plate }) => plate));
    case "figures":
      return all(Object.values(content.figures).map(({ plate }) => plate));
    case "strip":
      return all(content.tiles.map(({ plate }) => plate));
    case "group":
      return platesOf(content.pieces, within);
    case "program":
      return content.border ? all([content.border]) : [];
    case "gauge":
    case "video":
    case "sound":
      return [];
  }
}

/** The plates that placements show: those of one instant. */
export const platesIn = (placements: readonly Placement[]): Plate[] =>
  placements.flatMap((placement) => {
    switch (placement.kind) {
      case "plate":
        return [placement.plate];
      case "group":
        return platesIn(placement.children);
      case "video":
        return placement.video.poster ? [placement.video.poster] : [];
      default:
        return [];
    }
  });
