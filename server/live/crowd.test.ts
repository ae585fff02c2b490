import { describe, expect, test } from "vitest";
import { FULL_ALLOWANCE, spend } from "./allowance.ts";
import { findGivingWay, hasRoom } from "./crowd.ts";
import type { LiveWindow } from "./window.ts";

const stranger = (address: string) => ({ address, link: null }) as LiveWindow;
const joined = (kind: "desk" | "output" | "watch", token: string) =>
  ({
    address: "10.0.0.1",
    link: { kind, token, outputId: "wall", sessionId: null },
  }) as unknown as LiveWindow;

describe("who gives way when many come", () => {
  test("of one address that opens many, its own oldest; others are left alone", () => {
    const honest = stranger("10.0.0.2");
    const many = Array.from({ length: 60 }, () => stranger("10.0.0.9"));
    expect(findGivingWay([honest, ...many.slice(0, 59)], "10.0.0.9")).toBeUndefined();
    expect(findGivingWay([honest, ...many], "10.0.0.9")).toBe(many[0]);
    expect(findGivingWay([honest, ...many], "10.0.0.2")).toBeUndefined();
  });

  test("of many addresses, the oldest of the one with the most: somebody who just came can say hello", () => {
    const honest = stranger("10.0.0.2");
    const many = Array.from({ length: 200 }, (_, i) => stranger(`10.0.1.${i % 5}`));
    const first = findGivingWay([honest, ...many], "10.0.0.3");
    expect(first?.address).toMatch(/^10\.0\.1\./);
    expect(first).not.toBe(honest);
  });

  test("those who watch take no place from desks and outputs, and one link fills no house", () => {
    const watchers = Array.from({ length: 200 }, (_, i) => joined("watch", `watch-${i}`));
    const outputs = Array.from({ length: 250 }, () => joined("output", "wall-link"));
    const entry = (kind: "desk" | "output" | "watch", token: string) => joined(kind, token).link as never;
    expect(hasRoom(watchers, entry("watch", "w"))).toBe(false);
    expect(hasRoom(watchers, entry("output", "o"))).toBe(true);
    expect(hasRoom(watchers, entry("desk", "d"))).toBe(true);
    expect(hasRoom(outputs, entry("output", "wall-link"))).toBe(false);
    expect(hasRoom(outputs, entry("output", "other-link"))).toBe(true);
  });
});

describe("what a window may say in a second", () => {
  const say = (count: number, isCommand: boolean, atMs = 1_000) => {
    let allowance = FULL_ALLOWANCE;
    const verdicts: string[] = [];
    for (let i = 0; i < count; i++) {
      const spent = spend(allowance, isCommand, atMs + i * 0);
      allowance = spent.allowance;
      verdicts.push(spent.verdict);
    }
    return { verdicts, allowance };
  };

  test("commands beyond sixty are not carried out; messages of any kind beyond 150 end it", () => {
    const { verdicts } = say(160, true);
    expect(verdicts.slice(0, 60).every((verdict) => verdict === "fine")).toBe(true);
    expect(verdicts[60]).toBe("tooFast");
    expect(verdicts[150]).toBe("flood");
    expect(say(150, false).verdicts.every((verdict) => verdict === "fine")).toBe(true);
    expect(say(151, false).verdicts.at(-1)).toBe("flood");
  });

  test("and begins anew with the next", () => {
    const { allowance } = say(160, true);
    expect(spend(allowance, true, 2_000).verdict).toBe("fine");
  });
});
