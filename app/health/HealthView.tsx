import { useEffect } from "react";
import { Link, useRevalidator } from "react-router";
import { t } from "../../core/language/t.ts";
import type { HealthReport } from "../../core/report/health.ts";
import { useDesk } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { formatBytes, formatLength } from "../ui/format.ts";
import { KeptInFull } from "./KeptInFull.tsx";
import { ScreenLine } from "./ScreenLine.tsx";
import { SecondMachine } from "./SecondMachine.tsx";

const LOOK_EVERY_MS = 2_000;

/** What has to be done about it stands in the banner above. */
const HEADS = {
  well: t`All that is done is on the disk.`,
  littleRoom: t`All that is done is on the disk, and there is little room left.`,
  noRoom: t`All that is done is on the disk, and there is hardly any room left.`,
  unwritten: t`Not everything is on the disk.`,
} as const;

/** How the server and its disk do, for whoever looks before the evening or when something is odd. */
export function HealthView({
  report,
  secondToken,
  atMs,
}: {
  report: HealthReport;
  secondToken: string;
  atMs: number;
}) {
  const { revalidate, state } = useRevalidator();
  const { outputs } = useDesk("outputs");
  useEffect(() => {
    const timer = setInterval(() => {
      if (state === "idle") void revalidate();
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [revalidate, state]);
  const { storage, keeper, stalls, windows } = report;
  const ago = (ms: number | null) =>
    ms === null ? t`not yet` : t`${formatLength(Math.max(0, atMs - ms))} ago`;
  const free = keeper?.freeBytes ?? null;
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_420px] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,38%)]">
      <main
        aria-label={t`Health`}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        className="relative min-h-0 overflow-y-auto px-6 py-5"
      >
        <h2 className="mb-4 text-[20px] font-semibold">{HEADS[storage.kind]}</h2>
        <dl className="grid max-w-3xl grid-cols-[220px_minmax(0,1fr)] gap-x-6 max-sm:grid-cols-1 gap-y-4 text-[16px]">
          <Fact name={t`Written down`}>
            {storage.kind === "unwritten" ? (
              <strong className="text-attention">
                {t`${storage.events === 1 ? t`1 act is` : t`${storage.events} acts are`} in memory only`}
              </strong>
            ) : (
              t`everything`
            )}
          </Fact>
          <Fact name={t`Room on the disk`}>{free === null ? t`unknown` : formatBytes(free)}</Fact>
          <Fact name={t`Last copy of the show`} note={keeper?.backupFailed ?? null}>
            {ago(keeper?.lastBackupAtMs ?? null)}
          </Fact>
          <Fact name={t`Its file brought up to date`}>{ago(keeper?.lastCheckpointAtMs ?? null)}</Fact>
          <Fact name={t`The server stood still`}>
            {stalls.count === 0
              ? t`never`
              : t`${stalls.count} ${stalls.count === 1 ? t`time` : t`times`}, ${Math.round(stalls.longestMs)} ms at most`}
          </Fact>
          <Fact name={t`Clock`}>
            {report.clockAheadMs > 2_000
              ? t`${formatLength(report.clockAheadMs)} ahead of the machine’s, which was set back`
              : t`with the machine’s`}
          </Fact>
          <Fact name={t`Stills waited for`}>{report.stillsWaiting}</Fact>
          <Fact name={t`Memory of the server`}>{t`${report.memoryMb} MB`}</Fact>
          <Fact name={t`Running for`}>{formatLength(Math.max(0, atMs - report.startedAtMs))}</Fact>
        </dl>
        {report.setAside.length > 0 && <SetAside rows={report.setAside} />}
        <NoticeBar />
      </main>
      <aside
        aria-label={t`Windows of each screen`}
        className="flex min-h-0 flex-col gap-3 overflow-y-auto border-l border-edge max-[1100px]:border-t max-[1100px]:border-l-0 bg-raised px-5 py-5 *:flex-none"
      >
        <h2 className="text-[17px] font-semibold">{t`Windows of each screen`}</h2>
        <ul className="flex flex-col gap-2.5 text-[16px]">
          {outputs.map((output) => (
            <ScreenLine
              key={output.id}
              output={output}
              windows={windows.find(({ outputId }) => outputId === output.id)?.windows ?? 0}
            />
          ))}
        </ul>
        <h2 className="mt-4 text-[17px] font-semibold">{t`Copies of the show`}</h2>
        <p className="text-[15px] text-second">
          {t`What each holds, and how to bring any of it back:`}{" "}
          <Link to="/carry" className="text-act underline">
            {t`Show files and copies`}
          </Link>
          .
        </p>
        <SecondMachine view={report.second} token={secondToken} atMs={atMs} />
        <KeptInFull />
      </aside>
    </div>
  );
}

function Fact({
  name,
  note = null,
  children,
}: {
  name: string;
  note?: string | null;
  children: React.ReactNode;
}) {
  return (
    <>
      <dt className="text-second">{name}</dt>
      <dd>
        {children}
        {note !== null && <span className="block text-[15px] text-attention">{note}</span>}
      </dd>
    </>
  );
}

/** What could not be read when the show was opened: named, so that it can be made anew or brought back from a copy. */
function SetAside({ rows }: { rows: HealthReport["setAside"] }) {
  return (
    <section aria-label={t`Left out`} className="mt-6 max-w-3xl border-t border-edge pt-4">
      <h2 className="mb-1 text-[17px] font-semibold text-attention">
        {t`${rows.length === 1 ? t`1 thing` : t`${rows.length} things`} could not be read`}
      </h2>
      <p className="mb-3 text-[15px] text-second">
        {t`The show goes on without ${rows.length === 1 ? t`it` : t`them`}; nothing was deleted. Make ${rows.length === 1 ? t`it` : t`them`} anew, or start with a copy of the show from before.`}
      </p>
      <ul className="flex flex-col gap-2 text-[16px]">
        {rows.map(({ what, name, why }) => (
          <li key={`${what}/${name}`} className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-4">
            <span className="break-words">
              {what} “{name}”
            </span>
            <span className="break-words text-second">{why}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
