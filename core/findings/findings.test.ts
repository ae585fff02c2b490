import { readdirSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";
import { findingSchema, SEVERITIES } from "./finding.ts";
import { FINDING_KINDS } from "./kinds.ts";

const kinds = Object.entries(FINDING_KINDS);

test.each(kinds)("%s: its code is its name, and what it makes is a finding in a sentence", (name, kind) => {
  expect(kind.code).toBe(name);
  expect(SEVERITIES).toContain(kind.severity);
  // Any figure at all: the sentence takes what it needs.
  const figures = new Proxy({}, { get: (_target, key) => `<${String(key)}>`, ownKeys: () => [] });
  const finding = kind({ kind: "object", id: "strap" }, figures as never, "role");
  expect(findingSchema.parse(finding)).toMatchObject({ code: name, place: "role", subject: { id: "strap" } });
  expect(finding.sentence).not.toMatch(/undefined|\[object/);
  // A sentence, but for those that hand on the words of a reader, or are part of one.
  if (!["unreadSong", "unreadReference", "cleaned"].includes(name)) expect(finding.sentence).toMatch(/\.$/);
});

test("every file of a kind is in the table", () => {
  const files = readdirSync(join(import.meta.dirname, "kinds")).map((file) => file.replace(/\.ts$/, ""));
  expect(files.sort()).toEqual(Object.keys(FINDING_KINDS).sort());
});
