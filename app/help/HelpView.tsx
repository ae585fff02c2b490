import { lazy, Suspense } from "react";
import { NavLink, useLocation, useNavigate } from "react-router";
import { t } from "../../core/language/t.ts";
import { GUIDES } from "./guides.ts";
import { sectionsOf } from "./sections.ts";

const HelpText = lazy(() => import("./HelpText.tsx"));

/** All guides, one after another, with what stands in each. */
export function HelpView() {
  const { search, hash } = useLocation();
  const navigate = useNavigate();
  const asked = new URLSearchParams(search).get("guide");
  const guide = GUIDES.find(({ id }) => id === asked) ?? GUIDES[0];
  if (!guide) return null;
  const place = { guide: guide.id, section: hash.slice(1) };
  return (
    <main className="flex min-h-0 flex-1 max-md:flex-col">
      <nav
        aria-label={t`Guides`}
        className="flex w-72 shrink-0 flex-col gap-1 overflow-y-auto border-r border-edge p-4 max-md:max-h-48 max-md:w-full max-md:border-r-0 max-md:border-b"
      >
        {GUIDES.map(({ id, name }) => (
          <div key={id}>
            <NavLink
              to={`/help?guide=${id}`}
              aria-current={id === guide.id ? "page" : undefined}
              className={`flex min-h-9 items-center rounded-md px-2 text-[15px] hover:bg-lifted ${id === guide.id ? "bg-lifted font-semibold" : "text-second"}`}
            >
              {name}
            </NavLink>
            {id === guide.id && (
              <ul className="mb-1 flex flex-col border-l border-edge pl-2 max-md:hidden">
                {sectionsOf(guide).flatMap((section) =>
                  section.id === ""
                    ? []
                    : [
                        <li key={section.id}>
                          <NavLink
                            to={`/help?guide=${id}#${section.id}`}
                            className="flex min-h-8 items-center rounded-md px-2 text-[14px] text-second hover:bg-lifted hover:text-paper"
                          >
                            {section.title}
                          </NavLink>
                        </li>,
                      ],
                )}
              </ul>
            )}
          </div>
        ))}
      </nav>
      <div className="min-w-0 flex-1 overflow-y-auto px-8 py-6 max-md:px-4">
        <div className="max-w-[760px]">
          <Suspense fallback={<p className="text-second">{t`Opening the help…`}</p>}>
            <HelpText
              place={place}
              go={({ guide: next, section }) => void navigate(`/help?guide=${next}#${section}`)}
            />
          </Suspense>
        </div>
      </div>
    </main>
  );
}
