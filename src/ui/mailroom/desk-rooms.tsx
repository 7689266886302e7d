"use client";

/** The rooms of each client of the Mailroom; only those of the client that is open are loaded. */
import dynamic from "next/dynamic";
import type { ComponentType, ReactNode } from "react";
import type { Desk } from "@/contract";
import type { DeskClientId } from "@/core/desks";
import type { LettersProps, SettingsProps, WritingProps } from "./parts/rooms";

interface ShellProps {
  readonly desk: Desk;
  readonly children: ReactNode;
}

interface Rooms {
  readonly Shell: ComponentType<ShellProps>;
  readonly Letters: ComponentType<LettersProps>;
  readonly Writing: ComponentType<WritingProps>;
  readonly Settings: ComponentType<SettingsProps>;
}

const rooms: Readonly<Record<DeskClientId, Rooms>> = {
  malthouse: {
    Shell: dynamic(() => import("./malthouse/shell").then((room) => room.MalthouseShell)),
    Letters: dynamic(() => import("./malthouse/letters").then((room) => room.MalthouseLetters)),
    Writing: dynamic(() => import("./malthouse/writing").then((room) => room.MalthouseWriting)),
    Settings: dynamic(() => import("./malthouse/preferences").then((room) => room.MalthouseSettings)),
  },
  granary: {
    Shell: dynamic(() => import("./granary/shell").then((room) => room.GranaryShell)),
    Letters: dynamic(() => import("./granary/letters").then((room) => room.GranaryLetters)),
    Writing: dynamic(() => import("./granary/writing").then((room) => room.GranaryWriting)),
    Settings: dynamic(() => import("./granary/drawer").then((room) => room.GranaryDrawer)),
  },
  sluice: {
    Shell: dynamic(() => import("./sluice/shell").then((room) => room.SluiceShell)),
    Letters: dynamic(() => import("./sluice/letters").then((room) => room.SluiceDays)),
    Writing: dynamic(() => import("./sluice/sheet").then((room) => room.SluiceSheet)),
    Settings: dynamic(() => import("./sluice/marks").then((room) => room.SluiceMarks)),
  },
  oxbow: {
    Shell: dynamic(() => import("./oxbow/shell").then((room) => room.OxbowShell)),
    Letters: dynamic(() => import("./oxbow/letters").then((room) => room.OxbowLetters)),
    Writing: dynamic(() => import("./oxbow/writing").then((room) => room.OxbowWriting)),
    Settings: dynamic(() => import("./oxbow/signatures").then((room) => room.OxbowSignatures)),
  },
  wren: {
    Shell: dynamic(() => import("./wren/shell").then((room) => room.WrenShell)),
    Letters: dynamic(() => import("./wren/letters").then((room) => room.WrenLetters)),
    Writing: dynamic(() => import("./wren/writing").then((room) => room.WrenWriting)),
    Settings: dynamic(() => import("./wren/endings").then((room) => room.WrenEndings)),
  },
};

export function DeskShell(props: ShellProps) {
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
