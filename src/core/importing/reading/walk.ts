/**
 * A walk through a parsed message without recursion: each element that is open has a frame with its look, and closing a frame
 * hands what was gathered to the one around it. Nothing in the tree is changed.
 */
import { attributeOf, type ChildNode, type Element } from "../../html";
import type { Reporter } from "../report";
import { Cascade } from "../style/cascade";
import type { Box, Look } from "../style/look";
import type { StyleSheets } from "../style/style-sheets";
import type { Frame, OpenTable } from "./frames";
import { Losses } from "./losses";
import type { OpenFlow, Paragraph } from "./open-flow";
import { PictureMaps } from "./picture-maps";
import type { FindPicture, MentionedPicture } from "./read-pictures";

export interface ReadPartsOptions {
  readonly body: Element;
  readonly sheets: StyleSheets;
  readonly reporter: Reporter;
  readonly find: FindPicture;
}

export class Walk {
  readonly frames: Frame[] = [];
  readonly cascade: Cascade;
  readonly losses: Losses;
  readonly maps: PictureMaps;
  /** What cells of tables have of themselves, by what their tables say. */
  readonly cells = new Map<string, Partial<Box>>();
  readonly pictures: MentionedPicture[] = [];
  readonly reporter: Reporter;
  readonly find: FindPicture;

  constructor({ body, sheets, reporter, find }: ReadPartsOptions) {
    this.reporter = reporter;
    this.find = find;
    this.cascade = new Cascade(sheets, reporter);
    this.losses = new Losses(reporter);
    this.maps = new PictureMaps(body, reporter);
  }

  open(
    { element, look, box }: { element: Element; look: Look; box: Box },
    flow: OpenFlow,
    more: {
      readonly own: boolean;
      readonly room: number | null;
      readonly close?: () => void;
      readonly table?: OpenTable | null;
      readonly paragraph?: Paragraph;
      readonly children?: readonly ChildNode[];
    },
  ): Frame {
    const frame: Frame = {
      element,
      look,
      box,
      flow,
      paragraph: more.paragraph ?? { element, look, own: more.own },
      table: more.table ?? null,
      room: more.room,
      children: more.children ?? element.childNodes,
      next: 0,
      close: more.close ?? null,
      number: element.tagName === "ol" ? Number(attributeOf(element, "start") ?? 1) || 1 : null,
      row: null,
    };
    this.frames.push(frame);
    return frame;
  }

  /** Where what comes next goes: beside what floats, while something does. */
  flowOf(frame: Frame): OpenFlow {
    return frame.row?.rest ?? frame.flow;
  }
}
