import { chromium } from "@playwright/test";
// usage: shot.tmp.mts base path out width height [js-steps...]
const [base, path, out, w, h, ...steps] = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox","--disable-gpu","--disable-quic"] });
const page = await browser.newPage({ viewport: { width: Number(w), height: Number(h) } });
page.on("pageerror", (e) => console.log("PAGEERROR", e.message));
page.on("console", (m) => m.type() === "error" && console.log("CONSOLE", m.text().slice(0, 300)));
for (const s of steps.filter((x) => x.startsWith("ls:"))) { const [k, v] = s.slice(3).split("="); await page.addInitScript(([k, v]) => localStorage.setItem(k, v), [k, v]); }
await page.goto(base + path);
await page.waitForTimeout(2500);
for (const s of steps) {
  if (s.startsWith("ls:")) continue;
  if (s.startsWith("key:")) { for (const k of s.slice(4).split(",")) { await page.keyboard.press(k); await page.waitForTimeout(250); } }
  else if (s.startsWith("click:")) await page.locator(s.slice(6)).first().click();
  else if (s.startsWith("hover:")) await page.locator(s.slice(6)).first().hover();
  else if (s.startsWith("text:")) console.log(await page.locator(s.slice(5)).allInnerTexts());
  else if (s.startsWith("type:")) await page.keyboard.type(s.slice(5));
  else if (s.startsWith("eval:")) console.log(await page.evaluate(s.slice(5)));
  else if (s.startsWith("wait:")) await page.waitForTimeout(Number(s.slice(5)));
}
await page.waitForTimeout(1200);
await page.screenshot({ path: out });
await browser.close();
