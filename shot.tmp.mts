import { chromium } from "@playwright/test";
const [base, out, ...views] = process.argv.slice(2);
const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox","--disable-gpu","--headless"] });
const p = await (await b.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
p.on("console", m => m.type()==="error" && console.log("console", m.text().slice(0,200)));
p.on("pageerror", e => console.log("pageerror", String(e).slice(0,300)));
for (const v of views) { await p.goto(`${base}/${v}`); await p.waitForLoadState("networkidle").catch(()=>{}); await p.waitForTimeout(1500); await p.screenshot({ path: `${out}/${v.replace(/\W/g,"_")}.png` });
 const text = await p.evaluate(() => document.body.innerText); (await import("node:fs")).writeFileSync(`${out}/${v.replace(/\W/g,"_")}.txt`, text);
}
await b.close();
