"use client";

/**
 * The Bench's dialogs and rooms, whose scripts wait until somebody opens one. Those that are typed into as soon as they
 * are asked for come along with the page: what is typed must not land on the sheet.
 */
import { colorChoices } from "../../parts/fields/color-field";
import { lazily } from "../../parts/lazily";
import { reportDialog } from "../../importing/lazy-report";
import { importerAhead } from "../editor/use-paste";
import { iconRowMeasures } from "../inspector/part-measures";

const conflict = lazily(() =>
  import("../../signature/editing/conflict-dialog").then(({ ConflictDialog }) => ConflictDialog),
);
const cut = lazily(() => import("./cut-dialog").then(({ CutDialog }) => CutDialog));
const icons = lazily(() => import("./icon-dialog").then(({ IconDialog }) => IconDialog));
const keys = lazily(() => import("./keys-dialog").then(({ KeysDialog }) => KeysDialog));
const picture = lazily(() => import("./picture-dialog").then(({ PictureDialog }) => PictureDialog));
const source = lazily(() => import("../source/source-pane").then(({ SourcePane }) => SourcePane));
const versions = lazily(() => import("./versions-dialog").then(({ VersionsDialog }) => VersionsDialog));

export const ConflictDialog = conflict.Component;
export const CutDialog = cut.Component;
export const IconDialog = icons.Component;
export const KeysDialog = keys.Component;
export const PictureDialog = picture.Component;
export const SourcePane = source.Component;
export const VersionsDialog = versions.Component;

/** The likeliest first. */
export const dialogs = [
  colorChoices,
  iconRowMeasures,
  picture,
  importerAhead,
  icons,
  cut,
  source,
  versions,
  keys,
  reportDialog,
  conflict,
];
