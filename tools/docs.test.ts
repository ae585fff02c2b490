import { existsSync, readdirSync, readFileSync } from "node:fs";
import { expect, test } from "vitest";

const ROOT = new URL("..", import.meta.url);
const FOLDERS = [
  "core",
  "painters",
  "designs",
  "demo",
  "stand-ins",
  "server",
  "app",
  "tools",
  "test-support",
  "e2e",
  "bench",
  "public",
  "docs",
];
const files = FOLDERS.flatMap((folder) =>
  readdirSync(new URL(folder, ROOT), { recursive: true, encoding: "utf8" }).map(
    (path) => `/${folder}/${path}`,
  ),
);
const documents = [
  "README.md",
  "CONTRIBUTING.md",
  "CHANGELOG.md",
  "core/README.md",
  ...readdirSync(new URL("docs", ROOT))
    .filter((name) => name.endsWith(".md"))
    .map((name) => `docs/${name}`),
  ...readdirSync(new URL("docs/guide", ROOT)).map((name) => `docs/guide/${name}`),
];

test.each(documents)("%s names files that are there, and its links lead somewhere", (document) => {
  const text = readFileSync(new URL(document, ROOT), "utf8");
  const named = [...text.matchAll(/`([\w./-]+\.(?:tsx?|[mc]?js|md))`/g)]
    .map(([, path = ""]) => path)
    .filter((path) => !path.startsWith("build/"));
  expect(
    named.filter(
      (path) => !files.some((file) => file.endsWith(`/${path}`)) && !existsSync(new URL(path, ROOT)),
    ),
  ).toEqual([]);
  const linked = [...text.matchAll(/\]\(([\w./-]+\.(?:png|md))\)/g)].map(([, path = ""]) => path);
  expect(linked.filter((path) => !existsSync(new URL(path, new URL(document, ROOT))))).toEqual([]);
});
