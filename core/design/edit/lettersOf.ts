import type { LaidOutPage, Part, PartContent, Plate } from "../../scene/part.ts";

/** A page with nothing on it but the bare letters of one object, where they stand: without outlines and shadows, in white. */
export function lettersOf(page: LaidOutPage, objectId: string): LaidOutPage {
  return { ...page, parts: lettersIn(page.parts, objectId) };
}

function lettersIn(parts: readonly Part[], objectId: string): Part[] {
  return parts.flatMap((part): Part[] => {
    const { content } = part;
    if (content.kind === "group") {
      const inside = lettersIn(content.parts, objectId);
      return inside.length > 0 ? [{ ...part, content: { ...content, parts: inside } }] : [];
    }
    if (part.objectId !== objectId && !part.objectId.startsWith(`${objectId}/`)) return [];
    const bare = bareContent(content);
    return bare ? [{ ...part, content: bare }] : [];
  });
}

function bareContent(content: Exclude<PartContent, { kind: "group" }>): PartContent | undefined {
  switch (content.kind) {
    case "plate":
      return { ...content, plate: bare(content.plate) };
    case "cells":
      return { ...content, cells: content.cells.map((cell) => ({ ...cell, plate: bare(cell.plate) })) };
    case "strip":
      return { ...content, tiles: content.tiles.map((tile) => ({ ...tile, plate: bare(tile.plate) })) };
    case "figures": {
      const figures = Object.entries(content.figures).map(([key, figure]) => [
        key,
        { ...figure, plate: bare(figure.plate) },
      ]);
      return { ...content, figures: Object.fromEntries(figures) };
    }
    case "shape":
    case "gauge":
    case "video":
    case "sound":
    case "program":
      return undefined;
  }
}

const bare = ({ key, picture }: Plate): Plate => ({
  key: `${key}/letters`,
  picture: {
    bounds: picture.bounds,
    ...(picture.clip && { clip: picture.clip }),
    items: picture.items.flatMap((item) =>
      item.kind === "glyphs"
        ? [{ ...item, fill: { kind: "solid", color: "#ffffff" }, stroke: null, shadows: [] }]
        : [],
    ),
  },
});
