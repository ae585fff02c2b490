import { PassThrough } from "node:stream";
import { createReadableStreamFromReadable } from "@react-router/node";
import { renderToPipeableStream } from "react-dom/server";
import {
  type EntryContext,
  type HandleErrorFunction,
  isRouteErrorResponse,
  type RouterContextProvider,
  ServerRouter,
} from "react-router";
import { requestFacts } from "../server/http/requestContext.ts";
import { log } from "../server/log/log.ts";
import { afterRunning } from "../server/time/afterRunning.ts";
import { NonceContext } from "./ui/nonce.ts";

/** Nothing of a page comes later than the rest: only one that would never end is cut off. */
export const streamTimeout = 30_000;

/** A page as HTML, with the scripts it needs named by the nonce of this answer. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
  loadContext: RouterContextProvider,
): Promise<Response> {
  if (request.method === "HEAD") return Promise.resolve(new Response(null, { status, headers }));
  const { nonce } = loadContext.get(requestFacts());
  return new Promise((resolve, reject) => {
    let answered = status;
    const { pipe, abort } = renderToPipeableStream(
      <NonceContext value={nonce}>
        <ServerRouter context={routerContext} url={request.url} nonce={nonce} />
      </NonceContext>,
      {
        nonce,
        onShellReady() {
          const body = new PassThrough();
          // Whole, or nobody waits for it any more.
          body.once("close", callOff);
          headers.set("Content-Type", "text/html; charset=utf-8");
          pipe(body);
          resolve(new Response(createReadableStreamFromReadable(body), { status: answered, headers }));
        },
        onShellError: reject,
        onError(error) {
          answered = 500;
          // Whoever went away has no page to miss.
          if (!request.signal.aborted) log.error("A page could not be drawn", error);
        },
      },
    );
    const callOff = afterRunning(streamTimeout + 1_000, abort);
  });
}

export const handleError: HandleErrorFunction = (error, { request }) => {
  // Addresses that lead nowhere are no faults.
  if (isRouteErrorResponse(error) && error.status < 500) return;
  if (!request.signal.aborted)
    log.error(`A page or an action failed: ${new URL(request.url).pathname}`, error);
};
