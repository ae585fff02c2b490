import { describe, expect, test } from "vitest";
import { Guesses, keyOf } from "./guesses.ts";

describe("wrong guesses", () => {
  test("slow the address that guesses, longer each time, and no other", () => {
    let atMs = 0;
    const guesses = new Guesses(() => atMs);
    for (let i = 0; i < 4; i++) guesses.wrong("10.0.0.9");
    expect(guesses.waitMs("10.0.0.9")).toBe(0);
    const waits: number[] = [];
    for (let i = 0; i < 12; i++) {
      guesses.wrong("10.0.0.9");
      waits.push(guesses.waitMs("10.0.0.9"));
      atMs += waits.at(-1) as number;
    }
    expect(waits.slice(0, 4)).toEqual([2_000, 4_000, 8_000, 16_000]);
    expect(waits.at(-1)).toBe(300_000);
    expect(guesses.waitMs("10.0.0.8")).toBe(0);
    guesses.right("10.0.0.9");
    expect(guesses.waitMs("10.0.0.9")).toBe(0);
  });

  test("are forgotten in time, and remembered for so many addresses at most", () => {
    let atMs = 0;
    const guesses = new Guesses(() => atMs);
    for (let i = 0; i < 9; i++) guesses.wrong("10.0.0.9");
    atMs += 16 * 60_000;
    guesses.wrong("10.0.0.9");
    expect(guesses.waitMs("10.0.0.9")).toBe(0);
    for (let i = 0; i < 20_000; i++) guesses.wrong(`2001:db8:${i.toString(16)}::1`);
    for (let i = 0; i < 9; i++) guesses.wrong("10.0.0.7");
    expect(guesses.waitMs("10.0.0.7")).toBeGreaterThan(0);
  });

  test("a /64 of IPv6 is one house", () => {
    expect(keyOf("2001:db8::1")).toBe(keyOf("2001:0db8:0:0:ffff::2"));
    expect(keyOf("2001:db8:0:1::1")).not.toBe(keyOf("2001:db8::1"));
    expect(keyOf("192.168.1.7")).toBe("192.168.1.7");
  });
});
