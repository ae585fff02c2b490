import { describe, expect, test } from "vitest";
import { mulberry } from "../../test-support/random.ts";
import type { TallyReport } from "./tallyReport.ts";
import { looksLikeUmd5, readUmd5, writeUmd5 } from "./umd5.ts";
import { readUmd31, writeUmd31 } from "./umd31.ts";

const TALLIES = { program: 1, preview: 2 } as const;
const bytesOf = (hex: string) =>
  new Uint8Array((hex.match(/../g) ?? []).map((byte) => Number.parseInt(byte, 16)));
const hexOf = (bytes: Uint8Array) => Buffer.from(bytes).toString("hex");

// The layouts of the UMD protocol 3.1 and 5.0 as published, from memory.
describe("UMD 3.1", () => {
  test("a frame byte by byte: display 5, tally 1, full brightness, “CAM 5”", () => {
    const frame = bytesOf("85 31 43414d2035 2020202020202020202020".replaceAll(" ", ""));
    expect(frame).toHaveLength(18);
    expect(readUmd31(frame, TALLIES)).toEqual({
      reports: [{ input: 5, isOnProgram: true, isOnPreview: false, label: "CAM 5" }],
    });
    const report = { input: 5, isOnProgram: true, isOnPreview: false, label: "CAM 5" };
    expect(hexOf(writeUmd31(report, TALLIES))).toBe(hexOf(frame));
  });

  test("which tally means what is the venue's", () => {
    const frame = bytesOf(`8004${"20".repeat(16)}`);
    expect(readUmd31(frame, TALLIES)).toMatchObject({
      reports: [{ isOnProgram: false, isOnPreview: false }],
    });
    expect(readUmd31(frame, { program: 3, preview: 1 })).toMatchObject({ reports: [{ isOnProgram: true }] });
  });

  test.each([
    ["", /0 bytes/],
    ["85", /1 bytes/],
    [`0531${"20".repeat(16)}`, /header/],
    [`ff31${"20".repeat(16)}`, /header/],
    [`85c1${"20".repeat(16)}`, /control/],
  ])("what is none is refused: %s", (hex, why) => {
    expect(readUmd31(bytesOf(hex), TALLIES)).toEqual({ problem: expect.stringMatching(why) });
  });
});

describe("UMD 5.0", () => {
  test("a packet byte by byte: screen 2, display 7, all lamps red, “Quay”", () => {
    // PBC 18, VER 0, FLAGS 1, SCREEN 2, INDEX 7, CONTROL 0xd5, LENGTH 8, UTF-16LE.
    const packet = bytesOf("1200 00 01 0200 0700 d500 0800 5100750061007900".replaceAll(" ", ""));
    expect(looksLikeUmd5(packet)).toBe(true);
    expect(readUmd5(packet)).toEqual({
      reports: [{ input: 7, isOnProgram: true, isOnPreview: false, label: "Quay" }],
    });
    const report = { input: 7, isOnProgram: true, isOnPreview: false, label: "Quay" };
    expect(hexOf(writeUmd5([report], 2))).toBe(hexOf(packet));
  });

  test("amber is both, and one lamp is enough", () => {
    const packet = bytesOf("0a00 00 00 0000 0100 3000 0000".replaceAll(" ", ""));
    expect(readUmd5(packet)).toMatchObject({ reports: [{ input: 1, isOnProgram: true, isOnPreview: true }] });
  });

  test("control of screens and of displays says nothing of inputs", () => {
    expect(readUmd5(bytesOf("0a000002000001000100 0000".replaceAll(" ", "")))).toEqual({ reports: [] });
    expect(readUmd5(bytesOf("0a000000000001000180 0000".replaceAll(" ", "")))).toEqual({ reports: [] });
  });

  test.each([
    ["1300000102000700d50008005100750061007900", /count/],
    ["0600000100000700", /breaks off/],
    ["0a0000010000 0700 d500 ff00".replaceAll(" ", ""), /longer/],
  ])("what is broken is refused: %s", (hex, why) => {
    expect(readUmd5(bytesOf(hex))).toEqual({ problem: expect.stringMatching(why) });
  });

  test("seed 1710: what is written is read back, and rubbish never throws", () => {
    const random = mulberry(1_710);
    const names = ["Lectern", "Мост", "埠頭", "", "A very long name of a camera at the end of the quay"];
    for (let round = 0; round < 2_000; round++) {
      const reports = Array.from({ length: 1 + Math.floor(random() * 8) }, (_, input): TallyReport => {
        const [isOnProgram, isOnPreview] = [random() < 0.5, random() < 0.5];
        return {
          input,
          isOnProgram,
          isOnPreview,
          label: names[Math.floor(random() * names.length)] as string,
        };
      });
      const packet = writeUmd5(reports);
      expect(readUmd5(packet)).toEqual({ reports });
      const broken = packet.slice(0, Math.floor(random() * packet.length));
      for (let i = 0; i < 3; i++) broken[Math.floor(random() * broken.length)] = Math.floor(random() * 256);
      readUmd5(broken);
      readUmd31(broken, TALLIES);
    }
  });
});
