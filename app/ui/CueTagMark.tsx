import { Anchor, Bell, Sailboat, Waves } from "lucide-react";
import { t } from "../../core/language/t.ts";
import type { CueTag } from "../../core/rundown/cueDoc.ts";

export const TAG_ICONS: Readonly<Record<CueTag, typeof Bell>> = {
  knot: Anchor,
  bell: Bell,
  sail: Sailboat,
  wave: Waves,
};

/** The mark a person put on a cue, by its shape. */
export function CueTagMark({ tag }: { tag: CueTag | null }) {
  if (tag === null) return null;
  const Icon = TAG_ICONS[tag];
  return <Icon role="img" aria-label={t`marked with a ${tag}`} className="size-4 shrink-0 text-act" />;
}
