"use client";

/** The rooms of each client of the Mailroom. */
import type { ComponentType, ReactNode } from "react";
import type { Desk } from "@/contract";
import type { DeskClientId } from "@/core/desks";
import { GranaryDrawer } from "./granary/drawer";
import { GranaryLetters } from "./granary/letters";
import { GranaryShell } from "./granary/shell";
import { GranaryWriting } from "./granary/writing";
import { MalthouseLetters } from "./malthouse/letters";
import { MalthouseSettings } from "./malthouse/preferences";
import { MalthouseShell } from "./malthouse/shell";
import { MalthouseWriting } from "./malthouse/writing";
import { OxbowLetters } from "./oxbow/letters";
import { OxbowShell } from "./oxbow/shell";
import { OxbowSignatures } from "./oxbow/signatures";
import { OxbowWriting } from "./oxbow/writing";
import type { LettersProps, SettingsProps, WritingProps } from "./parts/rooms";
import { SluiceDays } from "./sluice/letters";
import { SluiceMarks } from "./sluice/marks";
import { SluiceSheet } from "./sluice/sheet";
import { SluiceShell } from "./sluice/shell";
import { WrenEndings } from "./wren/endings";
import { WrenLetters } from "./wren/letters";
import { WrenShell } from "./wren/shell";
import { WrenWriting } from "./wren/writing";

interface Rooms {
  readonly Shell: ComponentType<{ desk: Desk; children: ReactNode }>;
  readonly Letters: ComponentType<LettersProps>;
  readonly Writing: ComponentType<WritingProps>;
  readonly Settings: ComponentType<SettingsProps>;
}

const rooms: Readonly<Record<DeskClientId, Rooms>> = {
  malthouse: {
    Shell: MalthouseShell,
    Letters: MalthouseLetters,
    Writing: MalthouseWriting,
    Settings: MalthouseSettings,
  },
  granary: {
    Shell: GranaryShell,
    Letters: GranaryLetters,
    Writing: GranaryWriting,
    Settings: GranaryDrawer,
  },
  sluice: { Shell: SluiceShell, Letters: SluiceDays, Writing: SluiceSheet, Settings: SluiceMarks },
  oxbow: { Shell: OxbowShell, Letters: OxbowLetters, Writing: OxbowWriting, Settings: OxbowSignatures },
  wren: { Shell: WrenShell, Letters: WrenLetters, Writing: WrenWriting, Settings: WrenEndings },
};

export function DeskShell(props: { desk: Desk; children: ReactNode }) {
  const { Shell } = rooms[props.desk.client];
  return <Shell {...props} />;
}

export function DeskLetters(props: LettersProps) {
  const { Letters } = rooms[props.desk.client];
  return <Letters {...props} />;
}

export function DeskWriting(props: WritingProps) {
  const { Writing } = rooms[props.desk.client];
  return <Writing {...props} />;
}

export function DeskSettings(props: SettingsProps) {
  const { Settings } = rooms[props.desk.client];
  return <Settings {...props} />;
}
