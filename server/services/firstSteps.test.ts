import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { pageAt } from "../../core/show/slot.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { emptyShow } from "../newShow.ts";
import { isFresh, takeFirstSteps } from "./firstSteps.ts";

const DESK = { kind: "desk", id: "first-desk" } as const;
let show: OpenShow;
beforeAll(async () => {
  show = await openShow(":memory:", { seed: emptyShow() });
});
afterAll(() => show.close());

describe("the first steps of a house", () => {
  test("make its screens, style and an evening whose backdrop and mark are on air; once", async () => {
    const { services } = show;
    expect(isFresh(services)).toBe(true);
    const wishes = {
      place: "The Net Loft",
      language: "es-419" as const,
      styleId: "chalk-quay",
      screens: [
        { name: "Hall", widthPx: 1280, heightPx: 720, use: "hall" as const },
        { name: "Door", widthPx: 1080, heightPx: 1920, use: "portrait" as const },
        { name: "Singers", widthPx: 1280, heightPx: 720, use: "stage" as const },
      ],
      text: "",
    };
    expect(await takeFirstSteps(services, { ...wishes, styleId: "no-such-style" }, DESK)).toMatch(
      /No house style/,
    );
    expect(isFresh(services)).toBe(true);
    expect(await takeFirstSteps(services, wishes, DESK)).toBeUndefined();
    expect(services.house.place).toBe("The Net Loft");
    expect(services.venue.settings.language).toBe("es-419");
    expect(services.evenings.open.name).toBe("First evening");
    expect(services.house.style.name).toBe("Chalk quay");
    expect(services.screens.outputs.map(({ name, widthPx }) => [name, widthPx])).toEqual([
      ["Hall", 1280],
      ["Door", 1080],
      ["Singers", 1280],
    ]);
    const { state } = services.host;
    expect(Object.values(state.plan.outputs).map(({ outfitId }) => outfitId)).toEqual([
      "full",
      "porch",
      "stage",
    ]);
    for (const layerId of ["backdrop", "corner"])
      expect(pageAt(state.slots[layerId] ?? [], services.now() + 1_000), layerId).not.toBeNull();
    expect(services.rundown.views()).toHaveLength(4);
    expect(isFresh(services)).toBe(false);
    expect(await takeFirstSteps(services, wishes, DESK)).toMatch(/used already/);
  });
});
