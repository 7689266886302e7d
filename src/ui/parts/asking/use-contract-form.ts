"use client";

/** A form whose fields are checked as the contract describes them, each with its own sentence beside it. */
import type { BaseSyntheticEvent } from "react";
import {
  useForm,
  useWatch,
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type Path,
  type PathValue,
  type Resolver,
  type UseFormRegisterReturn,
} from "react-hook-form";
import { complaintsOf } from "@/contract";
import type { Value } from "@/core/values";
import { useAttempt } from "./use-attempt";

/**
 * The first field that is wrong is given the focus. Descriptions of values check themselves, so nothing else that
 * reads schemas has to be sent to the browser.
 */
const resolverOf =
  <T extends FieldValues>(value: Value<T> | null): Resolver<T> =>
  (values) => {
    const wrong = value ? Object.entries(complaintsOf(value, values)) : [];
    if (wrong.length === 0) return { values, errors: {} };
    const errors = Object.fromEntries(wrong.map(([name, message]) => [name, { type: "value", message }]));
    return { values: {}, errors: errors as FieldErrors<T> };
  };

interface FormTools<T extends FieldValues> {
  readonly set: <N extends Path<T>>(name: N, value: PathValue<T, N>) => void;
  /** Puts back what it began with. */
  readonly reset: () => void;
}

export interface ContractForm<T extends FieldValues> extends FormTools<T> {
  /** What a field of the form is drawn with. */
  readonly field: <N extends Path<T>>(
    name: N,
  ) => UseFormRegisterReturn<N> & { readonly problem: string | null };
  /** What stands in it now. */
  readonly typed: T;
  /** Sends it when every field is as it must be. */
  readonly submit: (event?: BaseSyntheticEvent) => Promise<void>;
  readonly busy: boolean;
  /** Why it could not be done. */
  readonly problem: string | null;
}

/** `value` describes what is sent, as an endpoint's body does; `send` does it, and its error is shown as the form's. */
export function useContractForm<T extends FieldValues>(
  value: Value<T> | null,
  initial: T,
  send: (typed: T, tools: FormTools<T>) => Promise<unknown>,
): ContractForm<T> {
  const { register, handleSubmit, setValue, reset, control, formState } = useForm<T>({
    defaultValues: initial as DefaultValues<T>,
    resolver: resolverOf(value),
    reValidateMode: "onChange",
  });
  const { busy, problem, attempt } = useAttempt();
  const typed = useWatch({ control }) as T;
  const tools: FormTools<T> = {
    set: (name, next) => setValue(name, next, { shouldValidate: formState.isSubmitted }),
    reset: () => reset(),
  };
  return {
    ...tools,
    field: (name) => {
      const message = formState.errors[name]?.message;
      return { ...register(name), problem: typeof message === "string" ? message : null };
    },
    typed,
    submit: handleSubmit(async (given) => void (await attempt(() => send(given, tools)))),
    busy,
    problem,
  };
}
