import type { Piece } from "./piece.ts";

/** Whether what is drawn of pieces that stand still depends on the time: clocks, countdowns, and gauges of them. */
export const showsTime = (pieces: readonly Piece[]): boolean =>
  pieces.some(({ content }) => {
    switch (content.kind) {
      case "figures":
      case "gauge":
        return content.value.kind !== "number" && content.value.kind !== "fixed";
      case "group":
        return showsTime(content.pieces);
      default:
        return false;
    }
  });
