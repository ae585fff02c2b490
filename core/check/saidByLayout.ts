import type { Check } from "./check.ts";

/** What laying a page out says by itself, as a check. @param code of the finding */
export const saidByLayout = (code: string, name: string): Check => ({
  code,
  name,
  page: ({ page }) =>
    page.findings
      .filter((finding) => finding.code === code)
      .map((finding) => {
        const box = [...page.words, ...page.boxes].find(({ objectId }) => objectId === finding.subject.id);
        return {
          finding: { ...finding, place: finding.subject.id },
          ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id },
          ...(box && { rect: box.rect }),
        };
      }),
});
