/** Why what was asked for could not be done, under the form or tool that asked. */
export const FormProblem = ({ children }: { children: string | null }) =>
  children && (
    <p role="alert" className="mt-1 text-sm text-rowan">
      {children}
    </p>
  );
