/**
 * Portraits that look like photographs of a person in a place: a scene out of focus, a person lit from one side,
 * off centre, with film grain. Drawn as SVG, layer by layer, in a space of 1200 × 900 px, origin top left.
 */
import sharp from "sharp";

export interface PortraitPlan {
  readonly person: string;
  readonly skin: string;
  readonly shade: string;
  readonly hair: string;
  readonly hairStyle: "short" | "long" | "bun" | "curly" | "scarf";
  readonly jacket: string;
  readonly scene: "glasshouse" | "shelves" | "field";
  /** Where the face is; px. */
  readonly x: number;
  readonly y: number;
  /** Height of the head over 300 px. */
  readonly scale: number;
  readonly seed: number;
  /** Width of the file, where its camera gave less than the others; px. */
  readonly width?: number;
  /** How bright the room was, where it was another than the others'. */
  readonly light?: number;
}

const size = { width: 1200, height: 900 };

/** A small deterministic generator (mulberry32), so that a seed always gives the same picture. */
function random(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

const svg = (content: string): Buffer =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${size.height}" viewBox="0 0 ${size.width} ${size.height}">${content}</svg>`,
  );

function scene(plan: PortraitPlan): string {
  const next = random(plan.seed);
  const sky = {
    glasshouse: ["#cfdccb", "#7f9a78"],
    shelves: ["#c9b48e", "#5b4631"],
    field: ["#d9e4e6", "#8ba36b"],
  }[plan.scene];
  let drawn =
    `<defs><linearGradient id="s" x1="0" y1="0" x2="0.3" y2="1"><stop offset="0" stop-color="${sky[0]}"/><stop offset="1" stop-color="${sky[1]}"/></linearGradient></defs>` +
    `<rect width="1200" height="900" fill="url(#s)"/>`;
  if (plan.scene === "glasshouse") {
    for (let x = 60; x < 1200; x += 190)
      drawn += `<rect x="${x}" y="0" width="12" height="620" fill="#eef4ea" opacity="0.75"/>`;
    for (let n = 0; n < 70; n++)
      drawn += `<ellipse cx="${next() * 1200}" cy="${480 + next() * 420}" rx="${20 + next() * 70}" ry="${12 + next() * 40}" fill="hsl(${90 + next() * 40} ${25 + next() * 25}% ${24 + next() * 30}%)" opacity="0.8" transform="rotate(${next() * 60 - 30} 600 700)"/>`;
  } else if (plan.scene === "shelves") {
    for (let row = 0; row < 6; row++) {
      for (let x = -20; x < 1200; x += 46 + next() * 30)
        drawn += `<rect x="${x}" y="${row * 160 + 30 + next() * 20}" width="${30 + next() * 14}" height="${84 + next() * 26}" rx="8" fill="hsl(${25 + next() * 60} ${20 + next() * 35}% ${28 + next() * 42}%)"/>`;
      drawn += `<rect x="0" y="${row * 160 + 142}" width="1200" height="14" fill="#3b2c1d"/>`;
    }
  } else {
    for (let n = 0; n < 160; n++) {
      const y = 430 + next() * 470;
      drawn += `<ellipse cx="${next() * 1200}" cy="${y}" rx="${10 + (y - 400) / 8}" ry="${6 + (y - 400) / 18}" fill="hsl(${50 + next() * 60} ${35 + next() * 30}% ${40 + next() * 28}%)" opacity="0.7"/>`;
    }
  }
  for (let n = 0; n < 14; n++)
    drawn += `<circle cx="${next() * 1200}" cy="${next() * 500}" r="${14 + next() * 36}" fill="#fffbe8" opacity="${0.06 + next() * 0.16}"/>`;
  return drawn;
}

function hairBehind(plan: PortraitPlan): string {
  const fill = `fill="${plan.hair}"`;
  switch (plan.hairStyle) {
    case "long":
      return `<path d="M-128 -30 C-150 -210 150 -210 128 -30 C140 90 150 190 118 250 L-118 250 C-150 190 -140 90 -128 -30Z" ${fill}/>`;
    case "bun":
      return `<circle cx="20" cy="-196" r="58" ${fill}/><ellipse cx="0" cy="-70" rx="122" ry="118" ${fill}/>`;
    case "curly":
      return Array.from({ length: 15 }, (_unused, n) => {
        const angle = Math.PI * (0.88 + (n / 14) * 1.24);
        return `<circle cx="${Math.cos(angle) * 122}" cy="${-42 + Math.sin(angle) * 118}" r="54" ${fill}/>`;
      }).join("");
    case "scarf":
      return `<path d="M-140 -20 C-160 -220 160 -220 140 -20 C150 110 130 220 150 300 L-150 300 C-130 220 -150 110 -140 -20Z" ${fill}/>`;
    default:
      return `<ellipse cx="0" cy="-66" rx="116" ry="112" ${fill}/>`;
  }
}

const hairFront: Readonly<Record<PortraitPlan["hairStyle"], string>> = {
  short: "M-106 -30 C-120 -170 104 -190 108 -36 C90 -96 40 -118 -30 -104 C-72 -98 -96 -70 -106 -30Z",
  long: "M-108 10 C-126 -170 120 -180 110 10 C104 -70 62 -120 10 -112 C-50 -116 -98 -76 -108 10Z",
  bun: "M-106 -20 C-116 -164 116 -164 106 -20 C90 -92 44 -116 0 -116 C-44 -116 -90 -92 -106 -20Z",
  curly: "M-104 -36 C-100 -150 100 -150 104 -36 C76 -90 30 -96 0 -96 C-30 -96 -76 -90 -104 -36Z",
  scarf: "M-116 20 C-134 -186 134 -186 116 20 C112 -60 70 -104 0 -104 C-70 -104 -112 -60 -116 20Z",
};

/** The scarf drawn over ears, neck and collar, with two folds. */
const scarfWrap = (fill: string): string =>
  `<path d="M-116 -20 C-120 120 -60 168 0 170 C60 168 120 120 116 -20 L140 -20 C156 130 150 200 178 268 C120 330 -120 330 -178 268 C-150 200 -156 130 -140 -20Z" fill="${fill}"/>` +
  `<path d="M-150 232 C-80 292 60 286 146 196 M-128 262 C-60 316 70 310 150 246" stroke="#000" stroke-opacity="0.22" stroke-width="7" fill="none"/>`;

function person(plan: PortraitPlan): string {
  const { skin, shade, hair, jacket } = plan;
  const scarf = plan.hairStyle === "scarf";
  const brow = scarf ? "#3a2a20" : hair;
  return (
    `<defs>` +
    `<radialGradient id="f" cx="0.36" cy="0.36" r="0.85"><stop offset="0" stop-color="${skin}"/><stop offset="0.62" stop-color="${skin}"/><stop offset="1" stop-color="${shade}"/></radialGradient>` +
    `<linearGradient id="n" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="${skin}"/><stop offset="1" stop-color="${shade}"/></linearGradient>` +
    `<linearGradient id="j" x1="0" y1="0" x2="1" y2="0.6"><stop offset="0" stop-color="${jacket}"/><stop offset="1" stop-color="#15201f"/></linearGradient>` +
    `<linearGradient id="h" x1="0" y1="0" x2="1" y2="0.5"><stop offset="0" stop-color="#ffffff" stop-opacity="0.28"/><stop offset="0.5" stop-color="#ffffff" stop-opacity="0"/></linearGradient>` +
    `</defs>` +
    `<g transform="translate(${plan.x} ${plan.y}) scale(${plan.scale})">` +
    hairBehind(plan) +
    `<path d="M-360 720 C-350 330 -200 262 -78 232 L78 232 C200 262 350 330 360 720Z" fill="url(#j)"/>` +
    `<path d="M-62 90 L-66 214 C-40 274 40 274 66 214 L62 90Z" fill="url(#n)"/>` +
    `<path d="M-62 130 C-30 190 40 190 62 130 L64 160 C30 220 -30 220 -64 160Z" fill="${shade}" opacity="0.55"/>` +
    `<path d="M-96 236 L-60 214 C-30 272 30 272 60 214 L96 236 L20 372 L-20 372Z" fill="#f1ede2" opacity="0.92"/>` +
    `<ellipse cx="-110" cy="6" rx="17" ry="30" fill="${skin}"/><ellipse cx="110" cy="6" rx="17" ry="30" fill="${shade}"/>` +
    `<path d="M-110 -30 C-112 -150 112 -150 110 -30 C112 70 70 150 0 152 C-70 150 -112 70 -110 -30Z" fill="url(#f)"/>` +
    `<ellipse cx="-54" cy="52" rx="30" ry="20" fill="#d9694f" opacity="0.18"/><ellipse cx="58" cy="52" rx="26" ry="18" fill="#d9694f" opacity="0.14"/>` +
    `<path d="M-68 -34 C-56 -46 -34 -46 -24 -36" stroke="${brow}" stroke-width="8" fill="none" stroke-linecap="round"/>` +
    `<path d="M24 -36 C34 -46 56 -46 68 -34" stroke="${brow}" stroke-width="8" fill="none" stroke-linecap="round"/>` +
    [-46, 46]
      .map(
        (x) =>
          `<ellipse cx="${x}" cy="-6" rx="20" ry="10" fill="#fbf7f0"/><circle cx="${x + 1}" cy="-6" r="9" fill="#3a2a20"/><circle cx="${x - 2}" cy="-9" r="3" fill="#fff"/>` +
          `<path d="M${x - 22} -6 C${x - 10} -20 ${x + 10} -20 ${x + 22} -6" stroke="#2a1d17" stroke-width="4" fill="none"/>`,
      )
      .join("") +
    `<path d="M-6 -4 C-14 26 -20 40 -14 48 C-4 54 8 54 16 48" stroke="${shade}" stroke-width="6" fill="none" stroke-linecap="round"/>` +
    `<path d="M-40 88 C-18 78 18 78 40 88 C22 116 -22 116 -40 88Z" fill="#a84b45"/><path d="M-32 90 C-14 86 14 86 32 90 C18 98 -18 98 -32 90Z" fill="#f6efe8"/>` +
    `<path d="${hairFront[plan.hairStyle]}" fill="${hair}"/><path d="${hairFront[plan.hairStyle]}" fill="url(#h)"/>` +
    (scarf ? scarfWrap(hair) : "") +
    `</g>`
  );
}

/** Grain: one grey per pixel around the middle, laid over in soft light. */
function grain(seed: number): Buffer {
  const next = random(seed + 99);
  const pixels = Buffer.alloc(size.width * size.height);
  for (let index = 0; index < pixels.length; index++) pixels[index] = 118 + Math.floor(next() * 20);
  return pixels;
}

/** One portrait as JPEG bytes, 1200 × 900 px. */
export async function drawPortrait(plan: PortraitPlan): Promise<Buffer> {
  const background = await sharp(svg(scene(plan)))
    .blur(11)
    .png()
    .toBuffer();
  const figure = await sharp(svg(person(plan)))
    .blur(1.1)
    .png()
    .toBuffer();
  const light =
    `<defs><radialGradient id="v" cx="0.35" cy="0.3" r="0.95"><stop offset="0" stop-color="#fff3d6" stop-opacity="0.22"/><stop offset="0.5" stop-color="#000" stop-opacity="0"/><stop offset="1" stop-color="#04110c" stop-opacity="0.5"/></radialGradient></defs>` +
    `<rect width="1200" height="900" fill="url(#v)"/>`;
  const drawn = sharp(background)
    .composite([
      { input: figure },
      { input: svg(light) },
      { input: grain(plan.seed), raw: { ...size, channels: 1 }, blend: "soft-light" },
    ])
    .removeAlpha();
  if (!plan.width && !plan.light) return drawn.jpeg({ quality: 82 }).toBuffer();
  // What was laid over is there before it is made smaller.
  const whole = sharp(await drawn.png().toBuffer());
  return whole
    .resize({ width: plan.width ?? size.width })
    .modulate({ brightness: plan.light ?? 1 })
    .jpeg({ quality: 82 })
    .toBuffer();
}
