import type { ButtonHTMLAttributes } from "react";

const looks = {
  primary: "bg-pine text-on-pine border-pine hover:opacity-90",
  plain: "border-pine text-pine hover:bg-kelp",
  quiet: "border-transparent text-ink hover:bg-kelp",
} as const;

export type ButtonLook = keyof typeof looks;

/** The classes of a button, for links that look like one. */
export const buttonClass = (look: ButtonLook = "plain"): string =>
  `inline-flex h-8 items-center gap-1.5 whitespace-nowrap rounded-sm border px-3 text-sm font-medium transition-colors duration-100 disabled:opacity-40 disabled:hover:bg-transparent ${looks[look]}`;

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: ButtonLook;
}

export function Button({ look = "plain", className = "", type = "button", ...rest }: Props) {
  return <button type={type} className={`${buttonClass(look)} ${className}`} {...rest} />;
}
