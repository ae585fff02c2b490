import { ChevronDown } from "lucide-react";
import type { ReactNode } from "react";
import { NavLink } from "react-router";
import { formatLength, formatTimeOfDay } from "../ui/format.ts";
import { useDesk, useServerTime } from "./deskContext.ts";

/** The line at the top of every desk view: show, views, connection, time. */
export function Header({ place, children }: { place: string; children: ReactNode }) {
  const { evening, state } = useDesk();
  const nowMs = useServerTime(250);
  return (
    <header className="flex h-13 shrink-0 items-center gap-6 border-b border-edge bg-raised px-5">
      <span className="font-brand text-[22px] font-bold tracking-tight">
        Vesko<span className="text-act">.</span>
      </span>
      <h1 className="min-w-0 text-[15px]">
        <NavLink
          to="/evenings"
          title={`All evenings. This is “${evening.name}”${place && ` at ${place}`}.`}
          className="flex min-h-8 items-center gap-1.5 rounded-md px-2 hover:bg-lifted aria-[current]:bg-lifted"
        >
          <span className="truncate font-semibold">{evening.name}</span>
          {place && <span className="max-w-40 shrink-0 truncate text-second">· {place}</span>}
          <ChevronDown aria-hidden="true" className="size-4 shrink-0 text-second" />
        </NavLink>
      </h1>
      <nav aria-label="Views" className="flex gap-1">
        {children}
      </nav>
      <div className="ml-auto flex items-center gap-5">
        <Connection nowMs={nowMs} />
        <time className="font-mono text-[21px] font-semibold tabular-nums" suppressHydrationWarning>
          {nowMs === null ? "--:--:--" : formatTimeOfDay(nowMs, state.timeZone)}
        </time>
      </div>
    </header>
  );
}

function Connection({ nowMs }: { nowMs: number | null }) {
  const { status } = useDesk();
  switch (status.kind) {
    case "open":
      return <span className="text-[14px] text-second">connected</span>;
    case "connecting":
      return <span className="text-[14px] text-second">connecting…</span>;
    case "refused":
      return <span className="hatched rounded px-2 py-1 text-[14px] font-semibold">link refused</span>;
    case "lost":
      return (
        <span className="flex items-center gap-2 text-[14px] font-semibold text-attention">
          <span aria-hidden="true" className="hatched size-5 rounded" />
          server lost {nowMs === null ? "" : formatLength(nowMs - status.sinceMs)}
        </span>
      );
  }
}
