import { readFileSync } from "node:fs";
import { expect, test } from "vitest";
import { SHIPPED_FONTS } from "../../core/text/fontList.ts";

test("the interface has every font of a script that the air has, by files that are there", () => {
  const css = readFileSync(new URL("./scripts.css", import.meta.url), "utf8");
  const named = [...css.matchAll(/\/fonts\/([\w-]+)/g)].map(([, id]) => id as string);
  const shipped = SHIPPED_FONTS.map(({ id }) => id);
  for (const id of named) expect(shipped).toContain(id);
  for (const { id, late } of SHIPPED_FONTS) if (late) expect(named, id).toContain(id);
});
