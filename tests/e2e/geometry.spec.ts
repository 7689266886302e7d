import {
  messageArea,
  messageOf,
  messagePage,
  received,
  seenFaceRules,
  standInIds,
  standIns,
} from "@/core/clients";
import { compareGeometry, measurable, type Compared } from "../compare-geometry";
import { demoPeople, demoSamples, samplePage, sampleRules, randomSamples } from "../geometry-samples";
import { expect, test } from "./test";

/** As many as it takes to draw for a while; `npm run bench:fit -- --compare` draws thousands. */
const documents = 400;
const seed = 20261202;

const shareApart = ({ boxes, apart }: Compared): number => apart.length / boxes;

test("every cell, picture and word of random documents lies where Chromium draws it, and every line wraps there", async ({
  page,
}) => {
  const samples = measurable(randomSamples(documents, seed), samplePage);
  expect(samples.length).toBeGreaterThan(documents / 2);
  const compared = await compareGeometry(page, samples, samplePage, sampleRules);
  expect(compared.boxes).toBeGreaterThan(5000);
  expect(compared.wraps).toEqual([]);
  expect(shareApart(compared), compared.apart.join("\n")).toBeLessThan(0.01);
});

test("the demo's signatures lie in every kind of client where Chromium draws them, whoever they are of", async ({
  page,
}) => {
  test.setTimeout(240_000);
  const messages = demoSamples(demoPeople.filter((_person, index) => index % 4 === 0)).map(
    ({ of, html }) => ({
      of,
      message: messageOf(html),
    }),
  );
  for (const client of standInIds) {
    const standIn = standIns[client];
    const own = messagePage(standIn);
    const samples = measurable(
      messages.map(({ of, message }) => ({ of: `${client}, ${of}`, html: received(message, client).html })),
      own,
    );
    expect(samples.length).toBeGreaterThan(20);
    const html = samples.map((sample) => sample.html).join("");
    const rules = messageArea(standIn, "light") + seenFaceRules(standIn, html, "installed", "/fonts");
    const compared = await compareGeometry(page, samples, own, rules);
    expect(compared.wraps).toEqual([]);
    expect(compared.apart).toEqual([]);
  }
});
