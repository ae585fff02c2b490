import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { changesOf } from "../../core/design/designKinds.ts";
import { type Template, templateKey } from "../../core/scene/template.ts";
import { type Output, outputSchema } from "../../core/venue/plan.ts";
import { make } from "../../test-support/designs.ts";
import { type OpenShow, openShow, TestWindow } from "../../test-support/openShow.ts";
import { Guesses } from "../access/guesses.ts";
import { Pairing } from "../access/pairing.ts";
import { MOST_OUTPUTS } from "../store/screenStore.ts";

const ME = "person-under-test";

const DESK = { kind: "desk", id: "screens-view" } as const;

let show: OpenShow;
beforeAll(async () => {
  show = await openShow(":memory:");
});
afterAll(() => show.close());

const output = (id: string, more: Partial<Output> = {}): Output =>
  outputSchema.parse({
    id,
    name: `Screen ${id}`,
    widthPx: 1280,
    heightPx: 720,
    backdrop: "opaque",
    frameRate: "60",
    signal: "picture",
    sound: false,
    program: false,
    ...more,
  });

describe("screens and plans", () => {
  test("a new screen has a link and a place in every plan, and the air shows it at once", async () => {
    const { screens, links, host, editScreens } = show.services;
    expect(await editScreens({ kind: "saveOutput", output: output("door") })).toBeUndefined();
    expect(links.find(links.tokenOfOutput("door"))).toMatchObject({ kind: "output", outputId: "door" });
    for (const plan of screens.plans) expect(plan.outputs.door?.layerIds.length).toBeGreaterThan(0);
    expect(host.state.plan.outputs.door).toEqual(screens.plans[0]?.outputs.door);
  });

  test("windows are told of a change, and one whose link was renewed or taken away is shut out", async () => {
    const { links, editScreens } = show.services;
    const window = new TestWindow(show.port);
    await window.join(links.tokenOfOutput("door"), "door-window-1");
    await window.until("welcome");
    await editScreens({ kind: "saveOutput", output: output("door", { name: "Quay door" }) });
    const told = await window.until("setUp", ({ outputs }) =>
      outputs.some(({ name }) => name === "Quay door"),
    );
    expect(told.plans.length).toBeGreaterThan(1);
    await links.renew({ outputId: "door" });
    expect(await window.untilClosed()).toBe(4401);

    const second = new TestWindow(show.port);
    await second.join(links.tokenOfOutput("door"), "door-window-2");
    await second.until("welcome");
    await editScreens({ kind: "removeOutput", outputId: "door" });
    expect(await second.untilClosed()).toBe(4401);
    expect(() => links.tokenOfOutput("door")).toThrow(/door/);
  });

  test("who watches sees events and screens, and is refused every command", async () => {
    const { links, host } = show.services;
    const window = new TestWindow(show.port);
    await window.join(links.watchToken, "watching-window");
    await window.until("rundown");
    await window.until("screens");
    const seq = host.state.seq;
    window.send({
      kind: "command",
      command: { kind: "clearEverything", id: "clear-everything", how: "cut" },
    });
    await window.until("fault");
    expect(host.state.seq).toBe(seq);
    window.socket.terminate();
  });

  test("the plan in use and the last plan stay; what is changed in the plan in use is a draft until it is used", async () => {
    const { screens, host, editScreens } = show.services;
    expect(await editScreens({ kind: "removePlan", planId: host.state.plan.id })).toMatch(/in use/);
    const plan = screens.plans.find(({ id }) => id === host.state.plan.id);
    if (!plan) throw new Error("the plan in use is a row");
    const changed = {
      ...plan,
      outputs: { ...plan.outputs, wall: { outfitId: "band", layerIds: ["words"] } },
    };
    await editScreens({ kind: "savePlan", plan: changed });
    expect(host.state.plan).toEqual(plan);
    const use = async () => {
      const builtOn = host.state.airRevision;
      await host.submit({ kind: "switchPlan", id: `use-it-${builtOn}`, planId: plan.id, builtOn }, DESK);
    };
    await use();
    expect(host.state.plan).toEqual(changed);
    expect(host.state.planBefore?.plan).toEqual(plan);
    // A plan may name a screen that is gone: nothing comes of it.
    await editScreens({
      kind: "savePlan",
      plan: { ...changed, outputs: { ...changed.outputs, gone: { outfitId: "band", layerIds: [] } } },
    });
    await use();
    expect(host.state.plan.outputs.gone).toBeDefined();
  });

  test("a change of a screen is undone like any act on air: what it was, and that it was there at all", async () => {
    const { screens, host, editScreens } = show.services;
    const find = (id: string) => screens.outputs.find((each) => each.id === id);
    const undo = async () => {
      const act = host.state.acts.at(-1);
      if (!act) throw new Error("nothing to undo");
      const answer = await host.submit({ kind: "undo", id: `undo-${act.actId}`, actId: act.actId }, DESK);
      expect(answer.refused).toBeNull();
      return act.what;
    };
    await editScreens({ kind: "saveOutput", output: output("stair") });
    await editScreens({ kind: "saveOutput", output: output("stair", { widthPx: 640 }) });
    expect(await undo()).toEqual({ kind: "screen", name: "Screen stair" });
    await expect.poll(() => find("stair")?.widthPx).toBe(1280);
    await undo();
    await expect.poll(() => find("stair")).toBeUndefined();
  });

  test("sizes that no screen has are refused, and there is an end to how many there may be", async () => {
    for (const size of [0, 15, 16_001, 1.5])
      expect(outputSchema.safeParse({ ...output("x"), widthPx: size }).success).toBe(false);
    for (const size of [16, 16_000])
      expect(outputSchema.safeParse({ ...output("x"), widthPx: size }).success).toBe(true);
    const { screens, editScreens } = show.services;
    for (let i = screens.outputs.length; i < MOST_OUTPUTS; i++)
      await editScreens({ kind: "saveOutput", output: output(`many-${i}`) });
    expect(await editScreens({ kind: "saveOutput", output: output("one-more") })).toMatch(
      /which is the most/,
    );
    expect(screens.outputs).toHaveLength(MOST_OUTPUTS);
  });
});

const WALL = { kind: "output", id: "wall" } as const;
const STREAM = { kind: "output", id: "stream" } as const;

describe("ways in", () => {
  test("a short code works once, for ten minutes, and cannot be guessed at length", () => {
    let nowMs = 0;
    const now = () => nowMs;
    const pairing = new Pairing(now, new Guesses(now));
    const here = "192.168.1.7";
    const code = pairing.codeFor(WALL);
    expect(code).toMatch(/^\d{6}$/);
    const newer = pairing.codeFor(WALL);
    expect(pairing.redeem(code === newer ? "" : code, here)).toBeUndefined();
    expect(pairing.redeem(newer, here)).toEqual(WALL);
    expect(pairing.redeem(newer, here)).toBeUndefined();
    const late = pairing.codeFor(WALL);
    nowMs = 10 * 60_000 + 1;
    expect(pairing.redeem(late, here)).toBeUndefined();
    const good = pairing.codeFor(STREAM);
    for (let i = 0; i < 30; i++) pairing.redeem("none", here);
    expect(pairing.redeem(good, here)).toEqual({ waitMs: expect.any(Number) });
    // Whoever did not guess is not made to wait.
    expect(pairing.redeem(good, "192.168.1.8")).toEqual(STREAM);
  });

  test("a code is over when very many wrong ones were tried, from however many addresses", () => {
    let nowMs = 0;
    const now = () => nowMs++;
    const pairing = new Pairing(now, new Guesses(now));
    const code = pairing.codeFor(WALL);
    for (let i = 0; i < 2_000; i++) pairing.redeem("none", `10.0.${i >> 8}.${i & 255}`);
    expect(pairing.redeem(code, "10.9.9.9")).toBeUndefined();
  });

  test("a passcode is kept as a salted hash, and matches itself alone", async () => {
    const { passcode } = show.services;
    expect(await passcode.matches("")).toBe(false);
    await passcode.set("lamp-quay-7");
    const first = (await show.db.selectFrom("show").select("passcode_hash").executeTakeFirstOrThrow())
      .passcode_hash;
    expect(first).not.toContain("lamp");
    expect(await passcode.matches("lamp-quay-7")).toBe(true);
    expect(await passcode.matches("lamp-quay-8")).toBe(false);
    await passcode.set("lamp-quay-7");
    const second = (await show.db.selectFrom("show").select("passcode_hash").executeTakeFirstOrThrow())
      .passcode_hash;
    expect(second).not.toBe(first);
    await passcode.set("");
    expect(passcode.isSet).toBe(false);
    expect(await passcode.matches("lamp-quay-7")).toBe(false);
  });
});

describe("templates that are brought in", () => {
  test("one that costs too much is refused with its cost; one that is offered can be replaced, worn and taken out, but for the last", async () => {
    const { wardrobes, offer, remove, wear } = show.services.templates;
    const [wardrobe] = wardrobes();
    const worn = wardrobe?.templates.get("title")?.[0]?.template;
    if (!wardrobe || !worn) throw new Error("no title is worn");
    const { outfitId } = wardrobe;
    const names = () =>
      wardrobes()
        .find((each) => each.outfitId === outfitId)
        ?.templates.get("title")
        ?.map(({ template }) => template.name);
    const grown = worn.objects.map((object) =>
      "box" in object ? { ...object, box: { x: 0, y: 0, width: 20_000, height: 20_000 } } : object,
    );
    const refused = async (outfit: string, template: Template, replaces?: string) => {
      const offered = await offer(outfit, template, ME, replaces);
      return "problem" in offered ? offered.problem : undefined;
    };
    const as = (key: string) => ({ outfitId, fieldSet: "title", key });
    const keyOf = (name: string) =>
      templateKey(
        wardrobes()
          .find((each) => each.outfitId === outfitId)
          ?.templates.get("title")
          ?.find(({ template }) => template.name === name)?.template ?? { id: "", name },
      );
    expect(await refused(outfitId, { ...worn, name: "Too large", objects: grown })).toMatch(
      /would take \d+ million pixels to draw, most of them for “.+” \(\d+ million\); at most 160 million/,
    );
    expect(names()).not.toContain("Too large");
    const before = names() ?? [];
    expect(await refused(outfitId, { ...worn, name: "Our own" })).toBeUndefined();
    expect(names()).toEqual([...before, "Our own"]);
    expect(await refused(outfitId, { ...worn, name: "Our own" })).toMatch(/already\. Replace that one/);
    // One in its place keeps what pages chose it by, whatever it is called.
    const key = keyOf("Our own");
    expect(key).not.toBe(templateKey(worn));
    expect(await refused(outfitId, { ...worn, name: "Our new one" }, key)).toBeUndefined();
    expect([names()?.at(-1), keyOf("Our new one")]).toEqual(["Our new one", key]);
    // So does one in the place of one of before, which has no id: pages chose it by its name.
    const { designs } = show.services;
    const how = { actor: ME, atMs: 0, isDraft: false };
    await designs.add({ kind: "template", id: "of-before" }, { ...worn, id: "", name: "Of before" }, how);
    const outfit = designs.find("outfit", outfitId);
    if (!outfit?.published) throw new Error("no outfit");
    const wears = { ...outfit.published.doc.wears };
    wears.title = [...(wears.title ?? []), "of-before"];
    const changes = changesOf("outfit", outfit.published.doc, { ...outfit.published.doc, wears });
    await designs.change(outfit, changes, { actor: ME, label: "Add", atMs: 0, joins: false });
    await designs.publish(outfit, { actor: ME, atMs: 0, note: "" });
    expect(await wear(as(key), ME)).toBeUndefined();
    expect(await refused(outfitId, { ...worn, name: "Of today" }, "Of before")).toBeUndefined();
    expect(keyOf("Of today")).toBe("Of before");
    expect(await remove(as("Of before"), ME)).toBeUndefined();
    // What it names of the library and the library has not is told; a stand-in is drawn meanwhile.
    const lamp = make("picture", {
      ...{ id: "lamp", box: { x: 0, y: 0, width: 90, height: 90 } },
      source: { kind: "library", name: "lamp.png" },
    });
    const lit = await offer(outfitId, { ...worn, name: "Lit", objects: [...worn.objects, lamp] }, ME);
    expect("told" in lit && lit.told).toEqual([expect.stringContaining("nothing called “lamp.png”")]);
    expect(await remove(as(keyOf("Lit")), ME)).toBeUndefined();
    // It is made the outfit's own, and the one that was can go.
    expect(await wear(as(key), ME)).toBeUndefined();
    expect(names()).toEqual(["Our new one", ...before]);
    expect(await remove(as(templateKey(worn)), ME)).toBeUndefined();
    for (const name of before.slice(1)) expect(await remove(as(keyOf(name)), ME)).toBeUndefined();
    expect(names()).toEqual(["Our new one"]);
    expect(await remove(as(key), ME)).toMatch(/only one .* so it stays/);
    expect(await remove(as("gone"), ME)).toMatch(/any more/);
  });
});
