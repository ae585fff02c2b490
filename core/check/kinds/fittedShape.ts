import { fitted } from "../../findings/kinds/fitted.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

/** Pages made for another shape of screen. */
export const fittedShape: Check = {
  code: fitted.code,
  name: t`Made for another shape of screen`,
  page: ({ page }) =>
    page.findings
      .filter(({ code }) => code === fitted.code)
      .map((finding) => ({ finding, cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id })),
};
