import { t } from "../../core/language/t.ts";
/** What a request has to be allowed for a door to open. */
export type Right =
  /** Nothing: it tells and changes nothing of the show. */
  | "anyone"
  /** To prepare and run the show: this machine, or a browser that was let in. */
  | "desk"
  /** The link of an output, named in the address. */
  | "output"
  /** The link of those who only watch, named in the address. */
  | "watch"
  /** The link by which other programs send messages, named in the address. */
  | "hook"
  /** The link of a second machine, named in the address. */
  | "second"
  /** A link to some cells of a table, named in the address. */
  | "entry"
  /** The link of a phone, named in the address. */
  | "remote"
  /** Any link that is good, named in the address; what it may see is looked at behind the door. */
  | "link";

/** Whom a request comes from, as far as rights go. */
export type Caller =
  | { readonly kind: "here" }
  | { readonly kind: "session"; readonly sessionId: string; readonly liveToken: string }
  | { readonly kind: "stranger" };

/** Something that has to be open before it can be opened. */
export type Opens =
  | { readonly opens: true }
  | { readonly opens: false; readonly status: 403 | 404; readonly sentence: string };

interface Links {
  readonly find: (token: string) => { readonly kind: string } | undefined;
}

/**
 * The one rule of who may come in where.
 * @param token what the address names, where it names one
 */
export function judge(right: Right, caller: Caller, token: string | undefined, links: Links): Opens {
  switch (right) {
    case "anyone":
      return { opens: true };
    case "desk":
      return caller.kind !== "stranger" ? { opens: true } : CLOSED;
    case "output":
    case "watch":
    case "hook":
    case "second":
    case "entry":
    case "remote":
    case "link": {
      const link = token === undefined ? undefined : links.find(token);
      const fits =
        link !== undefined && (right === "link" ? !SEES_NOTHING.has(link.kind) : link.kind === right);
      return fits ? { opens: true } : NO_SUCH_LINK;
    }
  }
}

/** Links that open doors of their own and no picture. */
const SEES_NOTHING: ReadonlySet<string> = new Set(["entry", "hook", "second"]);

const CLOSED: Opens = {
  opens: false,
  status: 403,
  sentence: t`The desk opens on the machine it runs on, by the desk link printed there, or with the venue’s passcode at /enter. Outputs have links of their own.`,
};
const NO_SUCH_LINK: Opens = {
  opens: false,
  status: 404,
  sentence: t`This link opens nothing, or not any more. What is on air is as it was; ask the desk for the link again.`,
};
