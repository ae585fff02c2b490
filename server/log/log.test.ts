import { randomBytes } from "node:crypto";
import { afterEach, describe, expect, test, vi } from "vitest";
import { log, logLine } from "./log.ts";

describe("lines of the log", () => {
  afterEach(() => vi.restoreAllMocks());

  test("a line has its time and level, and cannot be broken by what came from outside", () => {
    const line = logLine("warn", 0, "A song called “x\r\n2026 ERROR all is lost\u2028\u001b[2J” was refused");
    expect(line).toMatch(/^1970-01-01T00:00:00\.000Z WARN {2}A song called/);
    for (const bad of ["\r", "\n", "\u2028", "\u001b"]) expect(line).not.toContain(bad);
  });

  test("no token is in it, in an address, a sentence or a stack", () => {
    for (let i = 0; i < 200; i++) {
      const token = randomBytes(24).toString("base64url");
      const error = new Error(`GET /out/${token} failed`);
      expect(logLine("error", 0, `“${token}” at /watch/${token}?a=1`, error)).not.toContain(token);
    }
    expect(logLine("info", 0, `Content ${"a".repeat(64)} is there`)).toContain("a".repeat(64));
  });

  test("what repeats is counted, not written again", () => {
    vi.useFakeTimers({ toFake: ["Date"] });
    const written = vi.spyOn(console, "error").mockImplementation(() => {});
    for (let i = 0; i < 5_000; i++) log.error("The same fault");
    expect(written).toHaveBeenCalledTimes(1);
    vi.setSystemTime(Date.now() + 20_000);
    log.error("The same fault");
    expect(written.mock.calls[1]?.[0]).toMatch(/\(4999 more like it since\)/);
    vi.useRealTimers();
  });
});
