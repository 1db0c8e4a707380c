import type { ReactNode } from 'react';

interface MissingListProps {
  /** Before it is what: the heading. */
  heading: string;
  missing: readonly string[];
  className?: string;
  /** What can be done about it. */
  children: ReactNode;
}

/** What is not done for the next state of a run. */
export const MissingList = ({ heading, missing, className, children }: MissingListProps) => (
  <div className={className} role="alert">
    <b>{heading}</b>
    <ul>
      {missing.map((words) => (
        <li key={words}>{words}</li>
      ))}
    </ul>
    {children}
  </div>
);
