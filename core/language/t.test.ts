import { expect, test } from "vitest";
import { ENGLISH, type Language } from "./language.ts";
import { keyOf, translate } from "./t.ts";

const spanish: Language = {
  code: "es",
  messages: {
    Take: "Lanzar",
    "{0} of {1} on air": "en el aire, de {1}: {0}",
    "{0} are left": "{0, plural, one {queda #} other {quedan #}}",
    "it’s {0}": "es '{0}' y {0}",
  },
};
const say = (
  language: Language,
  said: TemplateStringsArray,
  ...values: readonly (string | number | null)[]
) => translate(language, said, values);

test("English is said as the source has it, and what is not there is read as nothing", () => {
  expect(say(ENGLISH, ["Take"] as never)).toBe("Take");
  expect(say(ENGLISH, ["", " of ", " on air"] as never, 2, null)).toBe("2 of  on air");
});

test("a message puts its values where its own language wants them, and counts as it counts", () => {
  expect(say(spanish, ["Take"] as never)).toBe("Lanzar");
  expect(say(spanish, ["", " of ", " on air"] as never, 2, 7)).toBe("en el aire, de 7: 2");
  expect(say(spanish, ["", " are left"] as never, 1)).toBe("queda 1");
  expect(say(spanish, ["", " are left"] as never, 5)).toBe("quedan 5");
});

test("what somebody typed is shown as it was typed, whatever it looks like", () => {
  const typed = "{0} <b>’{1, plural, one {x}}";
  expect(say(spanish, ["", " of ", " on air"] as never, typed, 1)).toBe(`en el aire, de 1: ${typed}`);
});

test("what has no message yet is said in English", () => {
  expect(say(spanish, ["Nothing of ", "."] as never, "it")).toBe("Nothing of it.");
  expect(keyOf(["a ", " b ", ""])).toBe("a {0} b {1}");
});
