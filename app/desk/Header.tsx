import { ChevronDown } from "lucide-react";
import { NavLink, useLocation } from "react-router";
import { t } from "../../core/language/t.ts";
import { localNow } from "../live/clock.ts";
import { formatLength, formatTimeOfDay } from "../ui/format.ts";
import { MATERIAL, TABS } from "../views.ts";
import { CheckBadge } from "./check/CheckBadge.tsx";
import { DeskMenu } from "./DeskMenu.tsx";
import { useDesk, useReading } from "./deskContext.ts";
import { useLocale } from "./useLocale.ts";

/** The line at the top of every desk view: show, views, connection, time. */
export function Header({ place }: { place: string }) {
  const { evening } = useDesk("evening");
  const { pathname } = useLocation();
  return (
    <>
      <header className="relative flex min-h-13 shrink-0 flex-wrap items-center gap-x-5 md:flex-nowrap gap-y-0 border-b border-edge bg-raised px-5 max-lg:gap-x-2 max-lg:px-3">
        <span className="font-brand text-[22px] font-bold tracking-tight max-lg:hidden">
          Vesko
          <span className="text-act">.</span>
        </span>
        <h1 className="min-w-0 flex-[0_1_auto] text-[15px] max-lg:max-w-28">
          <NavLink
            to="/evenings"
            title={t`All evenings. This is “${evening.name}”${place && t` at ${place}`}.`}
            className="flex min-h-8 min-w-0 items-center gap-1.5 rounded-md px-2 hover:bg-lifted aria-[current]:bg-lifted"
          >
            <span className="min-w-12 shrink truncate font-semibold">{evening.name}</span>
            {place && (
              <span className="max-w-40 shrink-[8] truncate text-second max-xl:hidden">· {place}</span>
            )}
            <ChevronDown aria-hidden="true" className="size-4 shrink-0 text-second" />
          </NavLink>
        </h1>
        <nav
          aria-label={t`Views`}
          className="flex shrink-0 gap-1 max-md:order-last max-md:w-full max-md:overflow-x-auto max-md:border-t max-md:border-edge max-md:py-0.5"
        >
          {TABS.map(({ to, name, parts }) => {
            const isHere = parts.length > 0 ? isAmong(parts, pathname) : undefined;
            return (
              <NavLink
                key={to}
                to={to}
                className={({ isActive }) => tabClass(isHere ?? isActive)}
                {...(isHere && { "aria-current": "page" as const })}
              >
                <span className="flex items-center gap-1.5">
                  <Steady name={name} />
                  {to === "/check" && <CheckBadge />}
                </span>
              </NavLink>
            );
          })}
        </nav>
        <div className="ml-auto flex min-h-11 shrink-0 items-center gap-4 max-lg:gap-2">
          <Connection />
          <Clock />
          <DeskMenu />
        </div>
      </header>
      {isAmong(MATERIAL, pathname) && (
        <nav
          aria-label={t`Material`}
          className="flex h-10 shrink-0 items-center gap-1 border-b border-edge bg-raised px-5"
        >
          {MATERIAL.map(({ path, name }) => (
            <NavLink key={path} to={`/${path}`} className={({ isActive }) => tabClass(isActive)}>
              <Steady name={name} />
            </NavLink>
          ))}
        </nav>
      )}
    </>
  );
}

const isAmong = (views: typeof MATERIAL, pathname: string): boolean =>
  views.some(({ path }) => pathname.startsWith(`/${path}`));

const tabClass = (isActive: boolean) =>
  `group shrink-0 rounded-md px-2.5 py-1.5 text-[15px] max-lg:px-1.5 ${isActive ? "is-here bg-lifted font-semibold text-paper" : "text-second hover:text-paper"}`;

/** A name that takes as much room bold as not: nothing moves when its tab is chosen. */
function Steady({ name }: { name: string }) {
  return (
    <span className="inline-grid">
      <span aria-hidden="true" className="invisible col-start-1 row-start-1 font-semibold">
        {name}
      </span>
      <span className="col-start-1 row-start-1 text-center">{name}</span>
    </span>
  );
}

function Clock() {
  const locale = useLocale();
  const time = useReading((nowMs) => formatTimeOfDay(nowMs, locale));
  return (
    <time
      className="font-mono text-[21px] font-semibold tabular-nums max-lg:text-[16px]"
      suppressHydrationWarning
    >
      {time ?? "--:--:--"}
    </time>
  );
}

/** As narrow as it can be said: the header must not break into two lines because the server is gone. */
const MISSING = "flex items-center gap-1.5 text-[14px] font-semibold text-attention";

function Connection() {
  const { status, second } = useDesk("status", "second");
  const forHowLong = useReading((nowMs) => {
    if (status.kind === "silent")
      return `${Math.max(1, Math.round((localNow() - status.sinceMs) / 1_000))} s`;
    return status.kind === "lost" ? formatLength(nowMs - status.sinceMs) : "";
  });
  switch (status.kind) {
    case "open":
      return <span className="text-[14px] text-second max-lg:sr-only">{t`connected`}</span>;
    case "silent":
      return (
        <span className={MISSING}>
          <span aria-hidden="true" className="hatched size-4 rounded" />
          <span>
            {t`no answer`} <span className="max-[1400px]:sr-only">{t`for`}</span> {forHowLong}
          </span>
          <ToSecond page={second.page} />
        </span>
      );
    case "connecting":
      return <span className="text-[14px] text-second">{t`connecting…`}</span>;
    case "refused":
      return <span className="hatched rounded px-2 py-1 text-[14px] font-semibold">{t`link refused`}</span>;
    case "lost":
      return (
        <span className={MISSING}>
          <span aria-hidden="true" className="hatched size-4 rounded" />
          <span>
            <span className="max-[1400px]:sr-only">{t`server`}</span> {t`lost`} {forHowLong}
          </span>
          <ToSecond page={second.page} />
        </span>
      );
  }
}

/** The way to the machine that could take over; it says itself whether it should. */
function ToSecond({ page }: { page: string | null }) {
  if (page === null) return null;
  return (
    <a
      href={page}
      target="_blank"
      rel="noopener noreferrer"
      // Over what is beneath: nothing on the desk moves because the server is gone.
      className="absolute top-full right-4 z-40 mt-2 flex min-h-11 items-center rounded-lg bg-attention px-4 text-[16px] font-bold text-on-bright shadow-xl hover:brightness-110"
    >
      {t`Take over on the second machine`}
    </a>
  );
}
