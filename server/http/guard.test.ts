import type { IncomingMessage } from "node:http";
import { describe, expect, test } from "vitest";
import { createOriginCheck, sameToken } from "./guard.ts";

const request = (headers: Record<string, string>) => ({ headers }) as unknown as IncomingMessage;

describe("who may speak to the server", () => {
  const { isKnownHost, isOwnOrigin } = createOriginCheck("127.0.0.1");

  test.each([
    ["127.0.0.1:4400", true],
    ["localhost:9", true],
    ["[::1]:4400", true],
    ["rebound.example:4400", false],
    ["192.168.1.7:4400", false],
    ["", false],
  ])("host %s: %s", (host, known) => expect(isKnownHost(request({ host }))).toBe(known));

  test("pages of another origin may not open the live channel", () => {
    const host = "127.0.0.1:4400";
    expect(isOwnOrigin(request({ host, origin: "http://127.0.0.1:4400" }))).toBe(true);
    expect(isOwnOrigin(request({ host, origin: "http://127.0.0.1:9999" }))).toBe(false);
    expect(isOwnOrigin(request({ host, origin: "null" }))).toBe(false);
    expect(isOwnOrigin(request({ host }))).toBe(true);
  });

  test("bound to every address, numbers are known and names are not", () => {
    const open = createOriginCheck("0.0.0.0");
    expect(open.isKnownHost(request({ host: "192.168.1.7:4400" }))).toBe(true);
    expect(open.isKnownHost(request({ host: "rebound.example" }))).toBe(false);
  });

  test("tokens are compared whole", () => {
    expect(sameToken("abc", "abc")).toBe(true);
    expect(sameToken("ab", "abc")).toBe(false);
    expect(sameToken(undefined, "abc")).toBe(false);
  });
});
