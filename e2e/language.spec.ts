import { RunningShow } from "./support/runningShow.ts";
import { expect, test } from "./support/show.ts";

/** Words of the interface that would stand out: of views, of the air, of what the server and the check say. */
const ENGLISH = /\b(Run|Prepare|Check|Triggers|Take next|Nothing|cannot|which|without)\b/;

test("a server that speaks Spanish has desks in Spanish: views, keys, findings, and what it refuses", async ({
  page,
}) => {
  const show = new RunningShow(true, { env: { VESKO_LANGUAGE: "es" } });
  await show.start();
  try {
    await page.goto(`${show.base}/run`);
    await expect(page.getByText("en línea", { exact: true })).toBeVisible();
    await expect(page.locator("html")).toHaveAttribute("lang", "es");
    await expect(page.getByRole("navigation", { name: "Vistas" })).toHaveText(/Emitir.*Preparar.*Revisar/);
    await page.getByRole("button", { name: /^Siguiente/ }).click();
    await expect(page.getByText(/vuelve a poner: lanzamiento de/)).toBeVisible();
    expect((await page.getByRole("button").allTextContents()).join("\n")).not.toMatch(ENGLISH);

    // The check says what it finds in a thread of its own.
    await page.goto(`${show.base}/check`);
    await expect(page.getByText(/páginas en sus pantallas/)).toBeVisible({ timeout: 60_000 });
    const found = await page.getByRole("main").innerText();
    expect(found).toMatch(/[Ss]u |[Cc]réditos/);
    expect(found).not.toMatch(ENGLISH);

    // The server refuses in the same language.
    await page.goto(`${show.base}/out/${"a".repeat(32)}`);
    await expect(page.getByText(/Este enlace no abre nada/)).toBeVisible();
  } finally {
    await show.stop();
  }
});
