import type { ServerBuild } from "react-router";
import { problemOf } from "../../core/wire/problem.ts";
import type { Right } from "../access/rights.ts";
import { log } from "../log/log.ts";
import { StartProblem } from "../startProblem.ts";
import { isStorageTrouble, STORAGE_SENTENCE } from "../store/storageTrouble.ts";

/** A route's guard carries the right it asks for, so that it can be seen from outside. */
export interface DeclaresRight {
  readonly right: Right;
}

/** The right each route of a build declares. @throws StartProblem for one that declares none: it is not served */
export function rightsOf(build: ServerBuild): ReadonlyMap<string, Right> {
  const rights = new Map<string, Right>();
  for (const [id, route] of Object.entries(build.routes)) {
    if (!route || id === "root") continue;
    const [guard] = (route.module.middleware ?? []) as readonly Partial<DeclaresRight>[];
    if (guard?.right === undefined)
      throw new StartProblem(
        `The route “${id}” does not say who may come in, so no page is served. Begin it with: export const middleware = [only("desk")].`,
      );
    rights.set(id, guard.right);
  }
  return rights;
}

/** The build with its rights looked at, and with actions that tell of a full disk in a sentence. */
export function guardRoutes(build: ServerBuild): ServerBuild {
  rightsOf(build);
  const routes = Object.fromEntries(
    Object.entries(build.routes).map(([id, route]) => {
      const action = route?.module.action;
      if (!route || !action) return [id, route];
      const told: typeof action = async (args) => {
        try {
          return await action(args);
        } catch (error) {
          if (!isStorageTrouble(error)) throw error;
          log.error(`${id} could not save`, error);
          return Response.json(problemOf("diskFull", STORAGE_SENTENCE), { status: 507 });
        }
      };
      return [id, { ...route, module: { ...route.module, action: told } }];
    }),
  );
  return { ...build, routes };
}
