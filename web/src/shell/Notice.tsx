import { Button } from 'antd';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import styles from './Notice.module.css';

export interface Notice {
  readonly text: string;
  /** Takes back what the notice tells of. */
  readonly undo?: () => void;
  readonly isProblem?: boolean;
  /** What may be done instead. */
  readonly action?: { readonly label: string; readonly run: () => void };
}

const NoticeContext = createContext<(notice: Notice | null) => void>(() => undefined);

/** Says something at the foot of the page, until the next thing or until it is put away. */
export const useNotice = () => useContext(NoticeContext);

const PLAIN_NOTICE_MS = 6000;

export function NoticeProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<Notice | null>(null);
  const say = useCallback((next: Notice | null) => setNotice(next), []);
  useEffect(() => {
    // What can be undone, and what went wrong, stays until the maker has seen it.
    if (!notice || notice.undo || notice.isProblem) return undefined;
    const timer = setTimeout(() => setNotice(null), PLAIN_NOTICE_MS);
    return () => clearTimeout(timer);
  }, [notice]);
  const value = useMemo(() => say, [say]);
  return (
    <NoticeContext.Provider value={value}>
      {children}
      <div className={`${styles.place} no-print`} role="status" aria-live="polite">
        {notice && (
          <div className={`${styles.notice} ${notice.isProblem ? styles.problem : ''}`}>
            <span>{notice.text}</span>
            {notice.undo && (
              <Button
                size="small"
                onClick={() => {
                  notice.undo?.();
                  setNotice(null);
                }}
              >
                Undo
              </Button>
            )}
            {notice.action && (
              <Button
                size="small"
                onClick={() => {
                  notice.action?.run();
                  setNotice(null);
                }}
              >
                {notice.action.label}
              </Button>
            )}
            <button
              type="button"
              className={styles.away}
              aria-label="Put away"
              onClick={() => setNotice(null)}
            >
              ×
            </button>
          </div>
        )}
      </div>
    </NoticeContext.Provider>
  );
}
