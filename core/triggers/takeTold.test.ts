import { expect, test } from "vitest";
import { addressOfTake, messageOfTake, type TakeFacts } from "./takeTold.ts";

const FACTS: TakeFacts = {
  what: "take",
  cue: "cue-0005",
  number: "5",
  title: "Carry the Lamp Down",
  step: "Verse 1",
  words: "The tide has gone\nto fetch the moon",
  layer: "words",
};

test("a template makes an address and values; what is put in stays one value, numbers are numbers", () => {
  expect(messageOfTake("/show/{what} {number} {title} {words} 1.5", FACTS)).toEqual({
    address: "/show/take",
    args: [5, "Carry the Lamp Down", "The tide has gone / to fetch the moon", 1.5],
  });
  expect(messageOfTake("/show/{layer}/{title}", { ...FACTS, title: "a b/../c" })?.address).toBe(
    "/show/words/a-b-..-c",
  );
  expect(messageOfTake("no address {title}", FACTS)).toBeUndefined();
  expect(messageOfTake("/a {unknown}", FACTS)?.args).toEqual(["{unknown}"]);
});

test("what is put into an address of the web cannot lead elsewhere", () => {
  const evil = { ...FACTS, title: "x@elsewhere.example/?a=b&c#d" };
  expect(addressOfTake("http://lights.local:8080/go?title={title}", evil)?.searchParams.get("title")).toBe(
    evil.title,
  );
  expect(addressOfTake("http://{title}/go", { ...FACTS, title: "elsewhere.example" })).toBeUndefined();
  expect(addressOfTake("file:///etc/{title}", FACTS)).toBeUndefined();
  expect(addressOfTake("nonsense", FACTS)).toBeUndefined();
});
