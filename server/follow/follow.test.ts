import { createSocket, type Socket } from "node:dgram";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { afterEach, describe, expect, test } from "vitest";
import { stepsOf } from "../../core/rundown/steps.ts";
import { pageAt } from "../../core/show/slot.ts";
import { COMING_MS } from "../../core/tally/settle.ts";
import { writeUmd5 } from "../../core/tally/umd5.ts";
import { type Trigger, triggerSchema } from "../../core/triggers/trigger.ts";
import { plainClip } from "../../core/wire/followView.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { readOsc, writeOsc } from "../links/osc.ts";

const LECTERN = 1;
const QUAY = 4;
const DESK = { kind: "desk", id: "desk-of-the-test" } as const;

const opened: { close: () => unknown }[] = [];
afterEach(async () => {
  for (const each of opened.splice(0).reverse()) await each.close();
});

/** The demo with doors for devices, and a device that messages go to. */
async function open(
  file = ":memory:",
  feedHosts: readonly string[] = [],
): Promise<{ show: OpenShow; device: Socket; received: string[] }> {
  const received: string[] = [];
  const device = createSocket("udp4");
  device.on("message", (bytes) => {
    const read = readOsc(bytes);
    if ("messages" in read)
      for (const { address, args } of read.messages) received.push([address, ...args].join(" "));
  });
  await new Promise<void>((resolve) => device.bind(0, "127.0.0.1", resolve));
  const oscTo = [{ host: "127.0.0.1", port: device.address().port }];
  const show = await openShow(file, {
    feedHosts,
    devices: { host: "127.0.0.1", tallyPort: 0, oscPort: 0, allowed: [], oscTo },
  });
  opened.push(device, show);
  return { show, device, received };
}

const portOf = ({ services }: OpenShow, kind: "tally" | "osc") =>
  services.follow.view().doors.find((door) => door.kind === kind)?.port ?? 0;

const say = (
  { show, device }: { show: OpenShow; device: Socket },
  kind: "tally" | "osc",
  bytes: Uint8Array,
) => device.send(bytes, portOf(show, kind), "127.0.0.1");

const tally = (...inputs: number[]) =>
  writeUmd5(
    [0, 1, 2, 3, 4, 5, 6].map((input) => ({
      ...{ input, isOnProgram: inputs.includes(input), isOnPreview: false, label: "" },
    })),
  );

const on = ({ services }: OpenShow, layerId: string) =>
  pageAt(services.host.state.slots[layerId] ?? [], services.now())?.cueId ?? null;

const save = async ({ services }: OpenShow, trigger: Trigger) =>
  expect(await services.follow.edit({ kind: "saveTrigger", trigger, baseRevision: 0 })).toBeUndefined();

/** A mixer that has come: what it says from now on is what it does. */
async function withMixer(place: { show: OpenShow; device: Socket }): Promise<void> {
  const { host, now } = place.show.services;
  say(place, "tally", tally(3));
  await expect.poll(() => host.state.sources.program).toEqual(["room"]);
  const heardAtMs = now();
  await expect.poll(() => now() - heardAtMs).toBeGreaterThan(COMING_MS);
}

describe("devices and triggers, from the packet to the air", () => {
  test("a strap comes with its camera and leaves with it; who did it and why stands in the log", async () => {
    const place = await open();
    const { services } = place.show;
    await withMixer(place);
    const log: string[] = [];
    services.host.onEvent(({ event, actor }) => {
      if (event.kind === "triggered") log.push(`${actor?.kind} ${event.name}: ${event.why}`);
    });
    say(place, "tally", tally(LECTERN));
    await expect.poll(() => on(place.show, "titles")).toBe("cue-0004");
    expect(log[0]).toBe("trigger Ilse Tarrow: “Lectern” comes to program");
    say(place, "tally", tally(3));
    await expect.poll(() => on(place.show, "titles")).toBeNull();
  });

  test("messages set off and are sent; a page goes on to the next row of its feed", async () => {
    const place = await open();
    const { show, received } = place;
    const pick = show.services.rundown
      .views()
      .find(
        ({ doc }) =>
          doc.kind === "page" && Object.keys(doc.bindings).length > 0 && Object.keys(doc.picks).length > 0,
      );
    const usual = { when: { kind: "message", address: "/go" } };
    await save(
      show,
      triggerSchema.parse({
        id: "out",
        ...usual,
        act: { kind: "message", address: "/did/it", args: [7, "lamp"] },
      }),
    );
    if (pick)
      await save(
        show,
        triggerSchema.parse({ id: "row", ...usual, act: { kind: "nextRow", cueId: pick.cueId } }),
      );
    say(place, "osc", writeOsc("/go", []));
    await expect.poll(() => received).toEqual(["/did/it 7 lamp"]);
    const picksOf = () => {
      const doc = show.services.rundown.views().find(({ cueId }) => cueId === pick?.cueId)?.doc;
      return doc?.kind === "page" ? doc.picks : {};
    };
    if (pick?.doc.kind === "page") await expect.poll(picksOf).not.toEqual(pick.doc.picks);
  });

  test("a value of a feed that passes its limit sets off; read again it does not", async () => {
    const place = await open();
    const { show } = place;
    const feedId = "demo-lanterns";
    const when = { kind: "value", feedId, row: "Ropewalk", column: "lanterns", does: "rises", limit: 150 };
    await save(show, triggerSchema.parse({ id: "many", when, act: { kind: "take", cueId: "cue-0014" } }));
    const bring = (lanterns: number) =>
      show.services.feeds.upload(
        feedId,
        "lanterns.csv",
        Buffer.from(`street,lanterns,since\nRopewalk,${lanterns},18:40\n`),
      );
    const { doc, revision } = show.services.feeds.find(feedId) ?? {};
    if (!doc || revision === undefined) throw new Error("The demo has no lanterns");
    await show.services.feeds.save(feedId, revision, {
      ...doc,
      source: { kind: "upload", fileName: "lanterns.csv" },
    });
    expect(await bring(142)).toBeUndefined();
    expect(await bring(149)).toBeUndefined();
    expect(on(show, "ticker")).toBeNull();
    expect(await bring(151)).toBeUndefined();
    await expect.poll(() => on(show, "ticker")).toBe("cue-0014");
  });

  test("a source that is needed is not removed, and an input is one source's", async () => {
    const { show } = await open();
    const { follow } = show.services;
    expect(await follow.edit({ kind: "removeSource", id: "lectern" })).toMatch(/belongs? to this source/);
    const [first] = follow.sources;
    if (!first) throw new Error("The demo has no sources");
    const { revision, ...source } = first;
    expect(
      await follow.edit({ kind: "saveSource", source: { ...source, input: QUAY }, baseRevision: revision }),
    ).toMatch(/“Quay” already/);
    expect(await follow.edit({ kind: "saveSource", source, baseRevision: 0 })).toMatch(
      /changed on another desk/,
    );
    expect(await follow.edit({ kind: "removeSource", id: "bars" })).toBeUndefined();
  });

  test("what a file says of a clip is kept whatever else was done to the clip meanwhile", async () => {
    const { show } = await open();
    const { clips } = show.services;
    const boat = () => clips.views().find(({ id }) => id === "paper-boat");
    const before = boat();
    if (!before) throw new Error("The demo has no paper boat");
    const bring = (heading: string, more: object = {}) =>
      clips.edit({ kind: "bringDetails", id: before.id, elements: { "film/heading": heading }, ...more });
    // Two files one after the other, as fast as they come; in between it is renamed by a desk that has heard of neither.
    expect(await bring("One")).toBeUndefined();
    const renamed = { ...plainClip(before), name: "Boat" };
    expect(await clips.edit({ kind: "saveClip", clip: renamed, baseRevision: before.revision })).toMatch(
      /changed on another desk/,
    );
    expect(await bring("Two")).toBeUndefined();
    expect(boat()).toMatchObject({
      ...{ name: before.name, title: "Two", mappingId: before.mappingId, revision: before.revision + 2 },
    });
    expect(await bring("Three", { mappingId: "" })).toBeUndefined();
    expect(boat()).toMatchObject({ title: before.name, mappingId: "" });
    expect(await clips.edit({ kind: "bringDetails", id: "gone", elements: {} })).toMatch(/not in the list/);
  });

  test("a clip on program goes on though its file is removed; off program it is gone", async () => {
    const place = await open();
    const { services } = place.show;
    const source = services.follow.sources.find(({ id }) => id === "clips");
    if (!source) throw new Error("The demo has no clips");
    const { revision, ...plain } = source;
    const picture = { kind: "media", mediaId: "demo-harbour-night" } as const;
    await services.follow.edit({
      kind: "saveSource",
      source: { ...plain, picture },
      baseRevision: revision,
    });
    const told: string[] = [];
    services.follow.onChange((what) => told.push(what));
    expect(Object.keys(services.follow.media)).toEqual(["clips"]);
    await services.host.submit(
      { kind: "setSources", id: "clips-by-hand", bus: "program", sourceIds: ["clips"] },
      DESK,
    );
    expect(await services.media.remove("demo-harbour-night")).toBe(true);
    expect(services.follow.media.clips?.type).toBe("video");
    told.length = 0;
    await services.host.submit(
      { kind: "setSources", id: "off-by-hand", bus: "program", sourceIds: [] },
      DESK,
    );
    expect(told).toEqual(["sources"]);
    expect(services.follow.media).toEqual({});
  });

  test("a hand is never stopped: stopping, holding and the other one are commands as others", async () => {
    const place = await open();
    const { host } = place.show.services;
    await withMixer(place);
    await host.submit({ kind: "keepLayer", id: "keep-the-titles", layerId: "titles", isHeld: true }, DESK);
    await host.submit(
      { kind: "setSources", id: "lectern-by-hand", bus: "program", sourceIds: ["lectern"] },
      DESK,
    );
    await expect.poll(() => host.state.touched.titles?.by?.kind ?? "nobody").toBe("nobody");
    await host.submit({ kind: "keepLayer", id: "free-the-titles", layerId: "titles", isHeld: false }, DESK);
    const other = await host.submit({ kind: "otherAtSource", id: "other-at-lectern" }, DESK);
    expect(other.refused).toBeNull();
    expect(on(place.show, "titles")).not.toBeNull();
    await host.submit({ kind: "setSources", id: "nothing-by-hand", bus: "program", sourceIds: [] }, DESK);
    await expect.poll(() => on(place.show, "titles")).toBeNull();
  });
});

describe("what others are told, and what they ask for", () => {
  test("every take and out, by the venue's templates, by OSC and by HTTP; a host that was not named is not called", async () => {
    const calls: { readonly url: string; readonly body: unknown }[] = [];
    const lights = createServer((request, response) => {
      let body = "";
      request.on("data", (data) => {
        body += String(data);
      });
      request.on("end", () => {
        calls.push({ url: request.url ?? "", body: JSON.parse(body) });
        response.end("ok");
      });
    });
    await new Promise<void>((resolve) => lights.listen(0, "127.0.0.1", resolve));
    opened.push(lights);
    const host = `127.0.0.1:${(lights.address() as AddressInfo).port}`;
    const { show, received } = await open(":memory:", [host]);
    const { follow, host: air, rundown } = show.services;
    await follow.edit({
      kind: "settings",
      settings: {
        ...follow.settings,
        tellOsc: "/show/{what} {number} {title} {layer}",
        tellHttp: `http://${host}/{what}/{layer}?title={title}`,
      },
    });
    const [first] = rundown.ready();
    const [step] = first ? stepsOf(first.content) : [];
    if (!first || !step) throw new Error("The demo has no cues");
    const target = { cueId: first.cueId, content: first.hash, step: step.anchor };
    await air.submit(
      { kind: "take", id: "take-one", target, how: "cut", builtOn: air.state.airRevision },
      DESK,
    );
    await air.submit({ kind: "out", id: "out-of-one", layerId: "backdrop", how: "cut" }, DESK);
    await expect
      .poll(() => received)
      .toEqual(["/show/take 1 Night harbour backdrop", "/show/out   backdrop"]);
    await expect
      .poll(() => calls.map(({ url }) => url).sort())
      .toEqual(["/out/backdrop?title=", "/take/backdrop?title=Night%20harbour"]);
    expect(calls.find(({ url }) => url.startsWith("/take"))?.body).toMatchObject({
      number: "1",
      title: "Night harbour",
    });
    const other = `http://127.0.0.1:1/{what}`;
    await follow.edit({ kind: "settings", settings: { ...follow.settings, tellHttp: other } });
    await air.submit(
      { kind: "take", id: "take-two", target, how: "cut", builtOn: air.state.airRevision },
      DESK,
    );
    await expect.poll(() => received.length).toBe(3);
    expect(calls).toHaveLength(2);
  });

  test("a message that was given to the take takes; over real UDP, with what it sets off besides", async () => {
    const place = await open();
    const { services } = place.show;
    await services.venue.save({ keys: { take: [" ", "/show/go"] } });
    say(place, "osc", writeOsc("/show/go", [1]));
    await expect.poll(() => on(place.show, "backdrop")).toBe("cue-0001");
    expect(services.host.state.touched.backdrop?.by).toMatchObject({ kind: "remote" });
    say(place, "osc", writeOsc("/show/go", [0]));
    say(place, "osc", writeOsc("/player/clip", ["Paper boat", 36]));
    await expect.poll(() => services.host.state.clip).toMatchObject({ clipId: "paper-boat", by: "player" });
    expect(on(place.show, "corner")).toBeNull();
  });
});
