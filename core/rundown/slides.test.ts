import { expect, test } from "vitest";
import { sharpWidthPx, slideCue } from "./slides.ts";

test("a slide is found by its words, and shows none of them beside its picture", () => {
  const doc = slideCue({
    mediaId: "m-1",
    title: "Harbour plan 3",
    words: " Berths\n and  buoys ",
    notes: "Slowly",
  });
  expect(doc.values).toEqual({ picture: "m-1", caption: "Harbour plan 3" });
  expect(doc.note).toBe("Slowly\nBerths and buoys");
  expect(slideCue({ mediaId: "m-1", title: "x", words: "y".repeat(5_000), notes: "" }).note.length).toBe(
    2_000,
  );
});

test("a page is as sharp as the screen that shows it largest wants it, and no sharper than there is room for", () => {
  const wide = { widthPx: 1920, heightPx: 1080 };
  const tall = { widthPx: 1080, heightPx: 1920 };
  const ribbon = { widthPx: 1920, heightPx: 360 };
  expect(sharpWidthPx({ width: 16, height: 9 }, [wide, tall, ribbon], 4_096)).toBe(1920);
  // A portrait page stands in the height of the wall and the width of the porch.
  expect(sharpWidthPx({ width: 9, height: 16 }, [wide, tall], 4_096)).toBe(1080);
  expect(sharpWidthPx({ width: 4, height: 3 }, [wide], 4_096)).toBe(1440);
  expect(sharpWidthPx({ width: 16, height: 9 }, [{ widthPx: 7680, heightPx: 4320 }], 4_096)).toBe(4_096);
});
