import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";
import { keyOf } from "../../core/language/t.ts";

const FOLDERS = ["core", "server", "app"];

/** All that the source says to people: what a message is found by, and where it is said first. In the order of the files. */
export function findSaid(root: string): Map<string, string> {
  const found = new Map<string, string>();
  for (const folder of FOLDERS)
    for (const name of readdirSync(join(root, folder), { recursive: true, encoding: "utf8" }).sort()) {
      if (!/\.tsx?$/.test(name) || name.includes(".test.")) continue;
      const path = `${folder}/${name}`;
      const text = readFileSync(join(root, path), "utf8");
      if (!text.includes("t`")) continue;
      const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
      for (const { said, at } of saidIn(source))
        if (!found.has(said)) found.set(said, `${path}:${source.getLineAndCharacterOfPosition(at).line + 1}`);
    }
  return found;
}

function* saidIn(node: ts.Node): Generator<{ readonly said: string; readonly at: number }> {
  if (ts.isTaggedTemplateExpression(node) && ts.isIdentifier(node.tag) && node.tag.text === "t") {
    const { template } = node;
    const said = ts.isNoSubstitutionTemplateLiteral(template)
      ? [template.text]
      : [template.head.text, ...template.templateSpans.map(({ literal }) => literal.text)];
    yield { said: keyOf(said), at: node.getStart() };
  }
  for (const child of node.getChildren()) yield* saidIn(child);
}
