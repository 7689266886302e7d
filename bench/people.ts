/**
 * A directory of 10,000 people beside the demo's own 24: how long it takes to open, to be searched and put in order, to take a changed
 * detail, and to offer somebody; and how a list of 1,000, 10,000 and 100,000 lines is read and set beside it. All in one run.
 */
import type { Page } from "playwright-core";
import { emptyPerson, readList, writeSheet, type KnownPerson, type Person } from "@/core/people";
import { changePeople } from "@/server/people/change-people";
import { besideTheDemo } from "./beside-the-demo";
import { compareOpenings, middle, times } from "./opening";

const given = ["Ada", "Bo", "Chloé", "Dag", "Eleni", "Freya", "Ifor", "Jo", "Kwame", "Layla"];
const family = ["Quill", "Lind", "Holm", "Okoro", "Żuraw", "Markou", "Pell", "Rao", "Asante", "Ní Bhriain"];
const titles = [
  "Keeper of Seeds",
  "Head of Germination",
  "Archivist",
  "Cold Store Technician",
  "Press Officer",
];

const person = (at: number): Person => ({
  ...emptyPerson,
  name: `${given[at % 10]} ${family[Math.floor(at / 10) % 10]} ${at}`,
  title: titles[at % titles.length] ?? "",
  department: `Store ${at % 40}`,
  phone: `+44 1632 960${String(at % 1000).padStart(3, "0")}`,
  mail: `p${at}@harrowfen.example`,
  organisation: "Harrow Fen Seed Library",
});

const people = (count: number): readonly Person[] =>
  Array.from({ length: count }, (_unused, at) => person(at));

/** Every row that is in view has its details. */
const isDrawn = (): boolean => {
  const rows = [...document.querySelectorAll('[role="grid"] tbody tr:not([aria-hidden])')];
  return rows.length > 0 && rows.every((row) => row.querySelector("[data-cell]"));
};

async function changed(page: Page, address: string): Promise<number> {
  await page.goto(`${address}/people`);
  await page.waitForFunction(isDrawn);
  const took: number[] = [];
  for (let time = 0; time < times; time += 1) {
    await page.locator('[data-row="2"][data-column="1"]').click();
    await page.keyboard.type(`Keeper ${time}`);
    const answered = page.waitForResponse((answer) => answer.url().endsWith("/api/people/changes"));
    const begun = performance.now();
    await page.keyboard.press("Enter");
    await answered;
    took.push(performance.now() - begun);
  }
  return middle(took);
}

async function offered(address: string): Promise<number> {
  const took: number[] = [];
  for (let time = 0; time <= times; time += 1) {
    const begun = performance.now();
    await (await fetch(`${address}/api/people/choices?look=germ%20store`)).json();
    took.push(performance.now() - begun);
  }
  return middle(took.slice(1));
}

function readLists(): void {
  const known = people(10_000).map((each, at): KnownPerson => ({ id: `p${at}`, person: each }));
  let before = 0;
  for (const count of [1_000, 10_000, 100_000]) {
    const source = new TextEncoder().encode(
      writeSheet(people(count), ["name", "title", "department", "phone", "mail"]),
    );
    const request = {
      encoding: null,
      delimiter: null,
      named: null,
      columns: null,
      emptying: false,
      mended: {},
    };
    const took = Array.from({ length: 3 }, () => {
      const begun = performance.now();
      readList({ ...request, source, people: known, own: [], remembered: {} });
      return performance.now() - begun;
    });
    const time = middle(took);
    process.stdout.write(
      `a list of ${count.toLocaleString("en")} lines, read and set beside 10,000 people: ${time.toFixed(0)} ms${before ? ` (${(time / before).toFixed(1)} × the one before)` : ""}\n`,
    );
    before = time;
  }
  process.stdout.write(
    `memory that was in use at most: ${Math.round(process.resourceUsage().maxRSS / 1024)} MB\n`,
  );
}

/** A view is there with what it is about. */
const hasHeading = (): boolean => document.querySelector("main h1") !== null;

readLists();
await besideTheDemo(
  async () => {
    const begun = performance.now();
    await changePeople(people(10_000).map(({ ...to }) => ({ id: "", from: null, to })));
    process.stdout.write(`10,000 people written at once: ${(performance.now() - begun).toFixed(0)} ms\n`);
  },
  async (page, few, many) => {
    process.stdout.write(
      `the demo's own, and 10,000 people; the median of ${times} openings, drawn and sent\n`,
    );
    for (const [what, place, drawn] of [
      ["People", "/people", isDrawn],
      ["People, looked through for “germ”", "/people?look=germ", isDrawn],
      ["People, by title", "/people?order=-title", isDrawn],
      ["a person, its heading", "/people/tamsin-okafor", hasHeading],
      ["the Shelf, its heading", "/", hasHeading],
    ] as const)
      await compareOpenings(page, what, place, [few, many], drawn);
    for (const { address } of [few, many]) {
      process.stdout.write(`somebody offered: ${(await offered(address)).toFixed(0)} ms\n`);
      process.stdout.write(
        `a detail changed, until it is kept: ${(await changed(page, address)).toFixed(0)} ms\n`,
      );
    }
  },
);
