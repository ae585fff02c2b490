import { describe, expect, test } from "vitest";
import { decodeText } from "./decodeText.ts";

const bytes = (...list: number[]) => new Uint8Array(list);
const latin1 = (text: string) => new Uint8Array([...text].map((letter) => letter.charCodeAt(0)));

describe("text in any encoding", () => {
  test("with a mark", () => {
    expect(decodeText(bytes(0xef, 0xbb, 0xbf, 0x68, 0xc3, 0xa9))).toEqual({ text: "hé", guessed: null });
    expect(decodeText(bytes(0xff, 0xfe, 0x68, 0, 0xe9, 0))).toEqual({ text: "hé", guessed: null });
    expect(decodeText(bytes(0xfe, 0xff, 0, 0x68, 0, 0xe9))).toEqual({ text: "hé", guessed: null });
  });

  test("with a declaration", () => {
    expect(decodeText(latin1("# coding: iso-8859-1\nLämpchen"))).toEqual({
      text: "# coding: iso-8859-1\nLämpchen",
      guessed: null,
    });
  });

  test("else UTF-8, else the likeliest, said so", () => {
    expect(decodeText(new TextEncoder().encode("Lämpchen"))).toEqual({ text: "Lämpchen", guessed: null });
    const song =
      "Wenn die Lämpchen über dem Wasser glühen,\nträgt der Fluss sie zurück nach Hause, für immer schön.";
    const read = decodeText(latin1(song));
    expect(read.text).toBe(song);
    expect(read.guessed).toMatch(/8859-1|1252/i);
    const russian = "Когда огни горят слабее и поднялась вода, неси её домой";
    const cp1251 = new Uint8Array(
      [...russian].map((letter) => {
        const code = letter.charCodeAt(0);
        return code < 128 ? code : code === 0x451 ? 0xb8 : code - 0x410 + 0xc0;
      }),
    );
    expect(decodeText(cp1251)).toEqual({ text: russian, guessed: "windows-1251" });
  });
});
