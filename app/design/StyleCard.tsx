import { t } from "../../core/language/t.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import type { Template } from "../../core/scene/template.ts";
import { useDesk } from "../desk/deskContext.ts";
import type { Drawing } from "../live/drawing.ts";
import { PagePicture } from "../pictures/PagePicture.tsx";
import { RESTING_MS, useLaidOut } from "../pictures/useLaidOut.ts";

/** A style at a glance: templates over one another, with sample words. */
export function StyleCard({
  style,
  templates,
  drawing,
}: {
  style: HouseStyle;
  templates: readonly Template[];
  drawing: Drawing;
}) {
  const { fieldSets } = useDesk("fieldSets");
  const pages = useLaidOut(templates, style, drawing, fieldSets);
  return (
    <PagePicture
      pages={pages}
      drawing={drawing}
      atMs={RESTING_MS}
      label={t`${style.name}, an example`}
      ground="#000"
    />
  );
}
