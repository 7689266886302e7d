"use client";

import dynamic from "next/dynamic";
import { useEffect, type ComponentType } from "react";

interface Lazy<P> {
  /** Drawn once its script is there. */
  readonly Component: ComponentType<P>;
  /** Loads its script ahead of time. */
  readonly load: () => Promise<unknown>;
}

/** A dialog or room whose script is loaded when it is opened, or ahead of time while the page is idle. */
export function lazily<P extends object>(load: () => Promise<ComponentType<P>>): Lazy<P> {
  return { Component: dynamic(load, { ssr: false }), load };
}

/** A page that has come to life is left alone for so long; ms. */
const peace = 2000;

/** Loads what may be opened next, once the page is idle. */
export function useAhead(lazies: readonly Pick<Lazy<never>, "load">[]): void {
  useEffect(() => {
    const loadAll = (): void => {
      // What cannot be loaded now is loaded, or said, when it is opened.
      for (const { load } of lazies) load().catch(() => undefined);
    };
    const timer = setTimeout(() => {
      if ("requestIdleCallback" in window) requestIdleCallback(loadAll);
      else loadAll();
    }, peace);
    return () => clearTimeout(timer);
  }, [lazies]);
}
