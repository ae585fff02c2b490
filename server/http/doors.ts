import type { Express, Request, RequestHandler, Response } from "express";
import { t } from "../../core/language/t.ts";
import { problemOf } from "../../core/wire/problem.ts";
import type { Access, ReadAccess } from "../access/access.ts";
import { closedByMode, DESK_HEADER } from "../access/deskMode.ts";
import { judge, type Right } from "../access/rights.ts";
import { log } from "../log/log.ts";
import type { Services } from "../services/services.ts";
import { isStorageTrouble, STORAGE_SENTENCE } from "../store/storageTrouble.ts";
import { BodyBrokenOff, BodyTooLarge } from "./bodies.ts";
import { sayPlainly } from "./plainPage.ts";

type Answer = (request: Request, response: Response) => unknown;

/** Every address outside the pages, each with the right it asks for. What has none is not served: `check` says so at start. */
export class Doors {
  readonly #app: Express;
  readonly #services: Services;
  readonly #readAccess: ReadAccess;
  /** What was opened, for whoever tries all doors. */
  readonly all: { readonly path: string; readonly right: Right }[] = [];

  constructor(app: Express, services: Services, readAccess: ReadAccess) {
    this.#app = app;
    this.#services = services;
    this.#readAccess = readAccess;
  }

  access(request: Request): Access {
    return this.#readAccess(request);
  }

  get(right: Right, path: string, answer: Answer): void {
    this.all.push({ path, right });
    this.#app.get(path, this.#guarded(right, answer));
  }

  /** A POST may only come from a page of this very server: as JSON, or as a file. Other origins' forms can send neither. */
  post(
    right: Right,
    path: string,
    type: "application/json" | "application/octet-stream",
    answer: Answer,
  ): void {
    this.all.push({ path, right });
    this.#app.post(
      path,
      this.#guarded(right, (request, response) => {
        if (!this.access(request).isOwnOrigin || !request.is(type))
          return void sayPlainly(response, 403, FOREIGN);
        const closed = closedByMode(request.get(DESK_HEADER), "edit", (id) =>
          this.#services.live.grantOf(id),
        );
        if (closed !== undefined) return void response.status(403).json(problemOf("forbidden", closed));
        return answer(request, response);
      }),
    );
  }

  /** A POST of another program, which no page sends: the secret in its address is all that it needs. */
  postFromElsewhere(right: Extract<Right, "hook" | "second">, path: string, answer: Answer): void {
    this.all.push({ path, right });
    this.#app.post(path, this.#guarded(right, answer));
  }

  /** @throws when the application answers anywhere that was not opened here with a right */
  check(): void {
    const { stack } = (this.#app as unknown as { router: { stack: { route?: { path: string } }[] } }).router;
    for (const { route } of stack)
      if (route && !this.all.some(({ path }) => path === route.path))
        throw new Error(`“${route.path}” is served with no right declared. Open it through Doors.`);
  }

  #guarded(right: Right, answer: Answer): RequestHandler {
    return async (request, response) => {
      const judged = judge(
        right,
        this.access(request).caller,
        typeof request.params.token === "string" ? request.params.token : undefined,
        this.#services.links,
      );
      if (!judged.opens) return void sayPlainly(response, judged.status, judged.sentence);
      try {
        await answer(request, response);
      } catch (error) {
        tellFailure(response, error);
      }
    };
  }
}

export const FOREIGN = t`Only the desk’s own pages can change anything here. Nothing was changed.`;

/** Expected failures of a request, as sentences; any other is logged, and told without its insides. */
export function tellFailure(response: Response, error: unknown): void {
  if (error instanceof BodyBrokenOff) {
    response.destroy();
    return;
  }
  const [status, problem] =
    error instanceof BodyTooLarge
      ? ([413, problemOf("tooLarge", error.message)] as const)
      : isStorageTrouble(error)
        ? ([507, problemOf("diskFull", STORAGE_SENTENCE)] as const)
        : ([
            500,
            problemOf("failed", t`The server failed on that. What is on air is as it was; try again.`),
          ] as const);
  if (status !== 413) log.error("A request failed", error);
  if (response.headersSent) {
    response.destroy();
    return;
  }
  // What is still coming is not read: the connection ends with the answer.
  if (error instanceof BodyTooLarge) response.setHeader("Connection", "close");
  response.status(status).json(problem);
}
