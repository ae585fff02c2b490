import { writeFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { cueRow, expect, expectCues, openDesk, test } from "./support/show.ts";

const bring = (page: Page, file: string) => page.getByLabel("Slides or a rundown").setInputFiles(file);
const review = (page: Page) => page.getByRole("region", { name: "A rundown from a file" });
const takenFor = (page: Page, line: string) => review(page).getByRole("combobox", { name: `“${line}” is` });

test("a rundown somebody wrote in a hurry: each line says what it was taken for, can be told otherwise, and becomes a cue", async ({
  page,
  show,
}, info) => {
  const file = info.outputPath("sunday.txt");
  writeFileSync(
    file,
    `GATHERING
10:28 Countdown (2 min)
10:30 - Welcome
- Song: Harbour Kind - 4 min
- Ps 107:23-30
   lights down first
- Brisa Quell, lamp keeper
- bring the soup
`,
  );
  await openDesk(page, show, "prepare");
  await bring(page, file);
  for (const [line, as] of [
    ["GATHERING", "heading"],
    ["Countdown", "remark"],
    ["Song: Harbour Kind", "song"],
    ["Ps 107:23-30", "reading"],
    ["Brisa Quell, lamp keeper", "strap"],
    ["bring the soup", "remark"],
  ] as const)
    await expect(takenFor(page, line), line).toHaveValue(as);
  await takenFor(page, "Welcome").selectOption("a title page");
  await takenFor(page, "bring the soup").selectOption("left out");
  await review(page).getByRole("button", { name: "Add 6 cues" }).click();
  await expectCues(page, 48);
  const chosen = page.locator("[data-cue][aria-posinset]").filter({ hasText: "Brisa Quell" });
  await expect(chosen.first()).toBeVisible();
  await page.keyboard.press("f");
  await page.getByRole("combobox").fill("lights down first");
  await expect(page.getByRole("option").first()).toContainText("Psalm 107:23");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+z");
  await expectCues(page, 42);
});

test("a calendar brings its times; what cannot be read says so", async ({ page, show }, info) => {
  await openDesk(page, show, "prepare");
  const calendar = info.outputPath("evening.ics");
  writeFileSync(
    calendar,
    [
      "BEGIN:VCALENDAR",
      "VERSION:2.0",
      "PRODID:-//test//EN",
      "BEGIN:VEVENT",
      "UID:1",
      "DTSTART:20261206T193000",
      "DTEND:20261206T194500",
      "SUMMARY:Ilse Tarrow\\, net mender",
      "DESCRIPTION:mic 2",
      "END:VEVENT",
      "BEGIN:VEVENT",
      "UID:2",
      "DTSTART:20261206T190000",
      "DURATION:PT5M",
      "SUMMARY:Doors",
      "END:VEVENT",
      "END:VCALENDAR",
    ].join("\r\n"),
  );
  await bring(page, calendar);
  const lines = review(page).getByRole("list", { name: "Lines" }).getByRole("listitem");
  await expect(lines).toHaveCount(2);
  await expect(lines.nth(0)).toContainText("19:00 5:00");
  await expect(lines.nth(0)).toContainText("Doors");
  await expect(lines.nth(1)).toContainText("19:30 15:00");
  await expect(takenFor(page, "Ilse Tarrow, net mender")).toHaveValue("strap");
  await review(page).getByRole("button", { name: "Cancel" }).click();
  await expect(review(page)).toHaveCount(0);

  const broken = info.outputPath("broken.ics");
  writeFileSync(broken, "BEGIN:VCALENDAR\r\nnot a line");
  await bring(page, broken);
  await expect(page.getByText("is no calendar that can be read")).toBeVisible();
  await expectCues(page, 42);
  await expect(cueRow(page, "cue-0001")).toBeVisible();
});
