import { createContext, RouterContextProvider } from "react-router";
import type { Access } from "../access/access.ts";
import type { Services } from "../services/services.ts";

/** What loaders and actions know of a request. Services are given out only by a guard: see `only`. */
export interface RequestFacts {
  readonly services: Services;
  readonly access: Access;
  /** Names the scripts that this answer may carry. */
  readonly nonce: string;
  /** Lets this answer stand in a page of somebody else. */
  readonly allowFraming: () => void;
}

type Context<T> = ReturnType<typeof createContext<T>>;

/** Contexts by name. The server and the route build hold two copies of this module: the keys must be the same ones. */
function contextOf<T>(name: string): Context<T> {
  const registry = globalThis as unknown as Record<symbol, Context<T> | undefined>;
  const key = Symbol.for(`vesko.${name}`);
  registry[key] ??= createContext<T>();
  return registry[key];
}

export const requestFacts = (): Context<RequestFacts> => contextOf("requestFacts");
/** There only where a guard has let the request in. */
export const allowedServices = (): Context<Services> => contextOf("allowedServices");

export function createRequestContext(facts: RequestFacts): RouterContextProvider {
  const context = new RouterContextProvider();
  context.set(requestFacts(), facts);
  return context;
}
