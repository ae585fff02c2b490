// usage: mont.tmp.mts out h file...
import { createCanvas, loadImage } from "@napi-rs/canvas";
import { writeFileSync } from "node:fs";
const [out, h, ...files] = process.argv.slice(2);
const imgs = await Promise.all(files.map((f) => loadImage(f)));
const H = Number(h);
const ws = imgs.map((i) => Math.round((i.width * H) / i.height));
const c = createCanvas(ws.reduce((a, b) => a + b + 8, 0), H);
const g = c.getContext("2d"); g.fillStyle = "#888"; g.fillRect(0, 0, c.width, H);
let x = 0; imgs.forEach((im, i) => { g.drawImage(im, x, 0, ws[i], H); x += ws[i] + 8; });
writeFileSync(out, c.toBuffer("image/png"));
