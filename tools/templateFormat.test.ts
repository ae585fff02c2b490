import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { beforeAll, describe, expect, test } from "vitest";
import { fieldNamesOf } from "../core/scene/fieldSet.ts";
import { findUnknownFields } from "../core/scene/findReferenceFaults.ts";
import { OBJECT_KINDS } from "../core/scene/objectKinds.ts";
import { readTemplate } from "../core/scene/readTemplate.ts";
import type { Shaper } from "../core/text/shaper.ts";
import { FIELD_SETS } from "../designs/fieldSets.ts";
import { sampleValues } from "../designs/samples.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { lay } from "../test-support/pages.ts";
import { SHOW_FILE_SCHEMA_FILE, showFileJsonSchema } from "./showFileJsonSchema.ts";
import { TEMPLATE_SCHEMA_FILE, templateJsonSchema } from "./templateJsonSchema.ts";

const FORMATS = join(import.meta.dirname, "../docs/formats");
const EXAMPLES = join(FORMATS, "examples");
const examples = readdirSync(EXAMPLES).filter((file) => file.endsWith(".json"));

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

test("the JSON Schema is that of the format today (npm run schema writes it)", () => {
  expect(readFileSync(TEMPLATE_SCHEMA_FILE, "utf8")).toBe(templateJsonSchema());
  expect(readFileSync(SHOW_FILE_SCHEMA_FILE, "utf8")).toBe(showFileJsonSchema());
});

describe("the guide", () => {
  const guide = readFileSync(join(FORMATS, "template.md"), "utf8");

  test("names every kind of object, every example, and no other", () => {
    for (const kind of [...Object.keys(OBJECT_KINDS), "group"]) expect(guide).toContain(`\`${kind}\``);
    const named = [...guide.matchAll(/examples\/([\w-]+\.json)/g)].map(([, file]) => file);
    expect([...new Set(named)].sort()).toEqual([...examples].sort());
  });

  test("every template written out in it is read as it stands", () => {
    const written = [...guide.matchAll(/```json\n(\{\s*"kind": "template"[\s\S]*?)```/g)].map(
      ([, json]) => json as string,
    );
    expect(written.length).toBeGreaterThan(0);
    for (const json of written) expect(readTemplate(json)).toMatchObject({ problems: [] });
  });
});

describe("examples", () => {
  test.each(examples)(
    "%s is read without a word, shows only fields that there are, and is drawn without a fault",
    (file) => {
      const read = readTemplate(readFileSync(join(EXAMPLES, file), "utf8"));
      if ("problem" in read) throw new Error(read.problem);
      expect(read.problems).toEqual([]);
      const { template } = read;
      const set = FIELD_SETS.find(({ id }) => id === template.fieldSet);
      if (!set) throw new Error(`no field set ${template.fieldSet}`);
      expect(findUnknownFields(template, fieldNamesOf(set))).toEqual([]);
      const page = lay(template, sampleValues(template.fieldSet), shaper, { output: template.canvas });
      expect(page.findings.filter(({ severity }) => severity !== "note")).toEqual([]);
      expect(page.parts.length).toBeGreaterThan(0);
    },
  );
});
