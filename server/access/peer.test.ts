import type { IncomingMessage } from "node:http";
import { describe, expect, test } from "vitest";
import { createPeerReader, isOwnOrigin } from "./peer.ts";

const request = (headers: Record<string, string>, remoteAddress = "127.0.0.1") =>
  ({ headers, socket: { remoteAddress } }) as unknown as IncomingMessage;

describe("who speaks to the server", () => {
  const read = createPeerReader("127.0.0.1");

  test.each([
    ["127.0.0.1:4400", true],
    ["localhost:9", true],
    ["[::1]:4400", true],
    ["rebound.example:4400", false],
    ["192.168.1.7:4400", false],
    ["", false],
  ])("host %s: %s", (host, known) => {
    expect(read(request({ host })).isKnownHost).toBe(known);
    expect(read(request({ host })).isHere).toBe(known);
  });

  test("pages of another origin may not open the live channel", () => {
    const host = "127.0.0.1:4400";
    const own = (headers: Record<string, string>) => isOwnOrigin(request(headers), read(request(headers)));
    expect(own({ host, origin: "http://127.0.0.1:4400" })).toBe(true);
    expect(own({ host, origin: "http://127.0.0.1:9999" })).toBe(false);
    expect(own({ host, origin: "null" })).toBe(false);
    expect(own({ host })).toBe(true);
    expect(own({ host: "rebound.example", origin: "http://rebound.example" })).toBe(false);
  });

  test("bound to every address, numbers are known and names are not", () => {
    const open = createPeerReader("0.0.0.0");
    expect(open(request({ host: "192.168.1.7:4400" }, "192.168.1.9")).isKnownHost).toBe(true);
    expect(open(request({ host: "rebound.example" })).isKnownHost).toBe(false);
    expect(open(request({ host: "192.168.1.7:4400" }, "192.168.1.9")).isHere).toBe(false);
  });

  test.each(["x-forwarded-for", "forwarded", "via", "x-real-ip"])(
    "handed on with %s, a request is not of this machine, whatever it says",
    (name) => {
      const peer = read(request({ host: "localhost:4400", [name]: "127.0.0.1" }));
      expect(peer).toMatchObject({ isHere: false, address: "127.0.0.1", isSecure: false });
    },
  );

  test("a trusted proxy is believed as to whom it speaks for, and only as far as it can know", () => {
    const behind = createPeerReader("127.0.0.1", ["127.0.0.1", "10.0.0.2"]);
    const peer = behind(
      request({
        host: "127.0.0.1:4400",
        "x-forwarded-for": "127.0.0.1, 203.0.113.9, 10.0.0.2",
        "x-forwarded-host": "graphics.example",
        "x-forwarded-proto": "https",
      }),
    );
    expect(peer).toEqual({
      address: "203.0.113.9",
      host: "graphics.example",
      isSecure: true,
      isHere: false,
      isKnownHost: true,
    });
    // What is not handed on is still this machine's.
    expect(behind(request({ host: "localhost:4400" })).isHere).toBe(true);
    expect(behind(request({ host: "x", "x-forwarded-for": "1.2.3.4" }, "10.0.0.3")).address).toBe("10.0.0.3");
  });

  test("an IPv4 address that came as IPv6 is the same one", () => {
    expect(read(request({ host: "localhost" }, "::ffff:127.0.0.1"))).toMatchObject({
      address: "127.0.0.1",
      isHere: true,
    });
  });
});
