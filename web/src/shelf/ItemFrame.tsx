import { Button } from 'antd';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { ItemForm } from './useItemForm.ts';
import styles from './Panel.module.css';

interface ItemFrameProps<T extends { readonly archived: boolean }> {
  form: ItemForm<T>;
  /** Its fields. */
  children: ReactNode;
}

/** The fields of a thing between what there is to say of them and what can be done. */
export function ItemFrame<T extends { readonly archived: boolean }>({ form, children }: ItemFrameProps<T>) {
  return (
    <form className={styles.form} onSubmit={form.onSubmit} noValidate>
      {form.theirs && (
        <div className={styles.conflict} role="alert">
          <p className="red">Changed elsewhere since you opened it. Nothing was overwritten.</p>
          <Button size="small" onClick={form.keepMine}>
            Keep mine
          </Button>
          <Button size="small" onClick={form.useTheirs}>
            Use the saved one
          </Button>
        </div>
      )}
      {children}
      {form.problems.length > 0 && <p className="red small">Not saved yet: mend what is marked.</p>}
      <div className={styles.actions}>
        <Button type="primary" htmlType="submit">
          {form.isNew ? 'Put it on the shelf' : 'Save'}
        </Button>
        {!form.isNew && (
          <>
            <Button onClick={() => form.saveWith({ archived: !form.input.archived } as Partial<T>)}>
              {form.input.archived ? 'Bring back' : 'Archive'}
            </Button>
            <Button danger onClick={form.remove}>
              Delete
            </Button>
            {form.id !== null && <Link to={`/history/item/${form.id}`}>History</Link>}
          </>
        )}
      </div>
    </form>
  );
}
