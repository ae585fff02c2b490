import type { ServerBuild } from "react-router";
import { expect, test, vi } from "vitest";
import { guardRoutes, rightsOf } from "./routeRights.ts";

const guard = Object.assign(() => undefined, { right: "desk" as const });
const buildOf = (routes: Record<string, object>) =>
  ({
    routes: Object.fromEntries(Object.entries(routes).map(([id, module]) => [id, { id, module }])),
  }) as unknown as ServerBuild;

test("a route that does not say who may come in is not served", () => {
  expect([...rightsOf(buildOf({ root: {}, "routes/run": { middleware: [guard] } }))]).toEqual([
    ["routes/run", "desk"],
  ]);
  for (const module of [{}, { middleware: [] }, { middleware: [() => undefined] }])
    expect(() => rightsOf(buildOf({ root: {}, "routes/new": module }))).toThrow(
      /“routes\/new” does not say who may come in, so no page is served/,
    );
});

test("an action that meets a full disk answers with a sentence; another fault goes on as it is", async () => {
  const logged = vi.spyOn(console, "error").mockImplementation(() => {});
  const actions = {
    full: () => Promise.reject(Object.assign(new Error("full"), { code: "SQLITE_FULL" })),
    broken: () => Promise.reject(new Error("broken")),
    fine: async () => Response.json({ saved: true }),
  };
  const guarded = guardRoutes(
    buildOf(
      Object.fromEntries(
        Object.entries(actions).map(([id, action]) => [id, { middleware: [guard], action }]),
      ),
    ),
  );
  const run = (id: string) => guarded.routes[id]?.module.action?.({} as never) as Promise<Response>;
  const full = await run("full");
  expect([full.status, (await full.json()) as object]).toEqual([
    507,
    { problem: { code: "diskFull", sentence: expect.stringMatching(/disk is full/) } },
  ]);
  await expect(run("broken")).rejects.toThrow("broken");
  expect((await run("fine")).status).toBe(200);
  logged.mockRestore();
});
