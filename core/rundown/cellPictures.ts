import { oncePer } from "../memo/oncePer.ts";
import type { Template } from "../scene/template.ts";
import { allObjects } from "../scene/template.ts";
import { linesOf } from "../text/lines.ts";
import type { CompileContext } from "./compileContext.ts";
import type { Hash, PageContent } from "./content.ts";

type Content = Pick<PageContent, "values" | "media" | "wardrobe">;

/** Cells of tables that show a picture name it as the library does; pinned, they name what is known of it. */
export function pinCellPictures(
  content: Content,
  context: CompileContext,
): Pick<Content, "values" | "media"> {
  const columns = pictureColumns(content, context);
  if (columns.size === 0) return content;
  const media = new Set<Hash>(content.media);
  const values = { ...content.values };
  for (const [field, wanted] of columns) {
    const lines = linesOf(values[field] ?? "").map((line) =>
      line
        .split(/(\t|\|)/)
        .map((cell, i) => {
          // Every second piece is what parts two cells.
          const hash = i % 2 === 0 && wanted.has(i / 2) ? context.findMediaByName(cell.trim()) : undefined;
          if (!hash) return cell;
          media.add(hash);
          return hash;
        })
        .join(""),
    );
    if (lines.length > 0) values[field] = lines.join("\n");
  }
  return { values, media: [...media] };
}

/** Field → the columns of it that a worn template shows as pictures. */
function pictureColumns({ wardrobe }: Content, { wardrobes }: CompileContext): Map<string, Set<number>> {
  const worn = new Set(Object.values(wardrobe).map(({ template }) => template));
  const columns = new Map<string, Set<number>>();
  for (const { templates } of wardrobes)
    for (const offered of templates.values())
      for (const { hash, template } of offered)
        if (worn.has(hash))
          for (const { field, column } of picturesIn(template))
            columns.set(field, (columns.get(field) ?? new Set<number>()).add(column));
  return columns;
}

interface PictureColumn {
  readonly field: string;
  readonly column: number;
}

const picturesIn = oncePer((template: Template): readonly PictureColumn[] =>
  allObjects(template).flatMap(({ object }) =>
    object.kind === "table"
      ? object.columns.flatMap(({ shows }, column) =>
          shows === "picture" ? [{ field: object.field, column }] : [],
        )
      : [],
  ),
);
