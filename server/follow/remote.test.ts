import { expect, test } from "vitest";
import type { AirAction } from "../../core/keys/keyMap.ts";
import type { MessageValue } from "../../core/triggers/happening.ts";
import { openedState } from "../../test-support/contents.ts";
import { Remote } from "./remote.ts";

function remote() {
  const pressed: AirAction[] = [];
  let nowMs = 0;
  const host = {
    state: openedState(),
    press: async (action: AirAction) => {
      pressed.push(action);
      return { refused: null, sentence: null };
    },
  };
  const keys = { take: [" ", "/go"], clear: ["/clear"], layer1: ["/l1"], layer3: ["/l3"] };
  const of = new Remote({ host, keys: () => keys, now: () => nowMs });
  return {
    pressed,
    say: (address: string, value?: MessageValue, waitMs = 0) => {
      nowMs += waitMs;
      of.hear(address, value === undefined ? [] : [value]);
    },
  };
}

test("a message presses what it was given to, once for each press, and not when it is let go", () => {
  const { say, pressed } = remote();
  say("/go");
  say("/go", 1);
  say("/go", 0);
  say("/go", false);
  say("/elsewhere", 1);
  say(" ", 1);
  expect(pressed).toEqual(["take", "take", "take"]);
});

test("a fader on its way presses nothing until it is at its end", () => {
  const { say, pressed } = remote();
  for (const value of [0.01, 0.5, 0.99]) say("/go", value);
  expect(pressed).toEqual([]);
  say("/go", 1);
  expect(pressed).toEqual(["take"]);
});

test("guarded ones act only when they are let go after half a second: one packet clears nothing", () => {
  const { say, pressed } = remote();
  say("/clear");
  say("/clear", 1, 10_000);
  say("/clear", 0, 400);
  say("/clear", 0, 900);
  expect(pressed).toEqual([]);
  say("/clear", 1);
  say("/clear", 1, 300);
  say("/clear", 0, 300);
  expect(pressed).toEqual(["clear"]);
  say("/clear", 1);
  say("/clear", 0, 60_000);
  expect(pressed).toEqual(["clear"]);
});

test("a layer that stays when others are cleared is guarded, one that does not is not", () => {
  const { say, pressed } = remote();
  say("/l1", 1);
  say("/l3", 1);
  expect(pressed).toEqual(["layer3"]);
});
