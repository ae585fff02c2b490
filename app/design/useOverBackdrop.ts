import { useMemo } from "react";
import type { LaidOutPage } from "../../core/scene/part.ts";
import type { Template } from "../../core/scene/template.ts";
import standIn from "../live/standInPicture.svg";

/** Pages of templates as they are shown in a list: over the backdrop among them, where there is one, else over a stand-in picture. */
export function useOverBackdrop(
  templates: readonly Template[],
  pages: readonly LaidOutPage[],
): { readonly layers: readonly (readonly LaidOutPage[])[]; readonly ground: string } {
  const at = templates.findIndex(({ fieldSet }) => fieldSet === "backdrop");
  const layers = useMemo(
    () =>
      pages.map((page, i) => {
        const beneath = i === at ? undefined : pages[at];
        return beneath ? [beneath, page] : [page];
      }),
    [pages, at],
  );
  return { layers, ground: at >= 0 ? "#000" : `#3a3330 url(${standIn}) center / cover` };
}
