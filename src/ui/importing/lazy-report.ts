"use client";

import { lazily } from "../parts/lazily";

/** The report of an import, whose script waits until somebody asks for it. */
export const reportDialog = lazily(() => import("./report-dialog").then(({ ReportDialog }) => ReportDialog));
