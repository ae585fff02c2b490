import { useMemo } from "react";
import { useSearchParams } from "react-router";
import { stepsOf, valuesAt } from "../../../core/rundown/steps.ts";
import { useDesk } from "../../desk/deskContext.ts";
import type { PageSample } from "./samples.ts";

/** The words of the page that the room was opened from. */
export function usePageSample(fieldSet: string): PageSample | undefined {
  const [asked] = useSearchParams();
  const cueId = asked.get("cue");
  const { cues, outfits } = useDesk("cues", "outfits");
  return useMemo(() => {
    const cue = cues.find(({ view }) => view.cueId === cueId);
    const content = cue?.ready?.content;
    const anchor = content && stepsOf(content)[0]?.anchor;
    if (!cue || !content || !anchor) return undefined;
    for (const { id, templates } of outfits) {
      const values = templates[fieldSet] && valuesAt(content, id, anchor);
      if (values) return { name: "page", title: cue.title, values: values as PageSample["values"] };
    }
    return undefined;
  }, [cues, outfits, cueId, fieldSet]);
}
