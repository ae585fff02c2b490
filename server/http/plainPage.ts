import type { Response } from "express";
import { chosen } from "#language";

/** Small pages that need nothing of the application: doors, and what is said at a closed one. */
export function plainPage(title: string, body: string, script?: string): string {
  return `<!doctype html>
<html lang="${chosen().code}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><link rel="icon" href="/favicon.svg"><link rel="stylesheet" href="/plain.css"><title>${title} · Vesko</title></head>
<body><main>${body}</main>${script === undefined ? "" : `<script src="${script}"></script>`}</body></html>`;
}

/**
 * One sentence in place of what was asked for: a page for a person, plain text for a program.
 * @param sentence our own words: it is not escaped
 */
export function closedAnswer(
  method: string,
  accept: string,
  status: number,
  sentence: string,
): { readonly type: string; readonly body: string } {
  if (method !== "GET" || !accept.includes("text/html"))
    return { type: "text/plain; charset=utf-8", body: sentence };
  const door = status === 403 ? '<p><a href="/enter">Enter with the passcode</a></p>' : "";
  return { type: "text/html; charset=utf-8", body: plainPage("Closed", `<p>${sentence}</p>${door}`) };
}

export function sayPlainly(response: Response, status: number, sentence: string): void {
  const { method, headers } = response.req;
  const { type, body } = closedAnswer(method, headers.accept ?? "", status, sentence);
  response.setHeader("Cache-Control", "no-store");
  response.status(status).type(type).send(body);
}
