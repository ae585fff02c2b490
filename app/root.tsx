import { t } from "../core/language/t.ts";
import "./styles/app.css";
import { type ReactNode, use } from "react";
import {
  isRouteErrorResponse,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useRouteError,
} from "react-router";
import { chosen } from "#language";
import { LANGUAGE_SCRIPT } from "../core/language/language.ts";
import { APPEARANCE_SCRIPT } from "./ui/appearance.ts";
import { NonceContext } from "./ui/nonce.ts";

export function Layout({ children }: { children: ReactNode }) {
  const nonce = use(NonceContext);
  return (
    <html lang={chosen().code} suppressHydrationWarning>
      <head>
        <meta charSet="utf-8" />
        <link rel="icon" href="/favicon.svg" type="image/svg+xml" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        {chosen().messages && <script nonce={nonce} src={LANGUAGE_SCRIPT} />}
        <script
          nonce={nonce}
          // biome-ignore lint/security/noDangerouslySetInnerHtml: our own words, before the first picture
          dangerouslySetInnerHTML={{ __html: APPEARANCE_SCRIPT }}
        />
        <Meta />
        <Links />
      </head>
      <body>
        {children}
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

export default function Root() {
  return <Outlet />;
}

export function ErrorBoundary() {
  const error = useRouteError();
  const notFound = isRouteErrorResponse(error) && error.status === 404;
  const gone = notFound ? missing(error.data) : undefined;
  return (
    <main className="grid min-h-screen place-content-center gap-3 p-8 text-center">
      <h1 className="font-brand text-2xl font-semibold">
        {gone ? t`Not here any more` : notFound ? t`Nothing is here` : t`This page failed`}
      </h1>
      <p className="max-w-prose text-second">
        {gone
          ? t`${gone} What is on air is as it was.`
          : notFound
            ? t`The link is wrong or no longer valid. What is on air is as it was; ask the desk for the link again.`
            : t`What is on air goes on as it was. Load this page again; if it fails again, start the server anew — everything is kept.`}
      </p>
      <p>
        <a className="text-act underline" href={gone ? "/design" : "/run"}>
          {gone ? t`To Design` : t`To the run view`}
        </a>
      </p>
    </main>
  );
}

/** What a thing of Design that cannot be opened says of it. */
const missing = (data: unknown): string | undefined =>
  typeof data === "object" && data !== null && "gone" in data && typeof data.gone === "string"
    ? data.gone
    : undefined;
