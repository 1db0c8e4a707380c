import type { Fibre } from '@lanakit/core';
import { Button, Input, Segmented } from 'antd';
import { useState, type KeyboardEvent } from 'react';
import { useSearchParams } from 'react-router';
import { useShelf } from '../api/resources.ts';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import { Loading } from '../shell/Loading.tsx';
import { counted, PREPARATION_WORDS, showGrams, showMoney } from '../words/show.ts';
import { FibreForm } from './FibreForm.tsx';
import styles from './ShelfPage.module.css';

type Shown = 'in use' | 'archived';

/** The fibres the studio has, one open beside the list. */
export function ShelfPage() {
  const { fibres, byId, isReady, error } = useShelf();
  const [params, setParams] = useSearchParams();
  const [text, setText] = useState('');
  const [shown, setShown] = useState<Shown>('in use');
  if (!isReady) return <Loading error={error} />;
  const openFibre = byId.get(params.get('fibre') ?? '') ?? null;
  const isAdding = params.has('add') || fibres.length === 0;
  const rows = fibres.filter((fibre) => fibre.archived === (shown === 'archived') && isMatch(fibre, text));
  const open = (fibre: Fibre) => setParams({ fibre: fibre.id }, { replace: true });
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.shelf}`} aria-label="Fibres">
        <header className={styles.header}>
          <div>
            <h1>Shelf</h1>
            <p className="quiet">
              {counted(rows.length, 'fibre')}
              {shown === 'archived' && ' archived'}
            </p>
          </div>
          <Input
            className={styles.search ?? ''}
            value={text}
            aria-label="Find a fibre"
            placeholder="Find a fibre by name or preparation"
            allowClear
            onChange={(event) => setText(event.target.value)}
          />
          <Segmented<Shown>
            aria-label="Which fibres"
            value={shown}
            options={['in use', 'archived']}
            onChange={setShown}
          />
          <Button type="primary" onClick={() => setParams({ add: '' }, { replace: true })}>
            Add a fibre
          </Button>
        </header>
        {fibres.length === 0 ? (
          <p className={styles.empty}>
            Put the wool you have here: its name, how it was prepared, its colour, and how many grams. Three
            fibres are enough for a first figure: one for cores and two to be seen.
          </p>
        ) : rows.length === 0 ? (
          <p className={styles.empty}>
            {text === '' ? 'None archived.' : `Nothing here is called “${text}”.`}
          </p>
        ) : (
          <div className={styles.scroll}>
            <FibreTable rows={rows} openId={openFibre?.id ?? null} onOpen={open} />
          </div>
        )}
      </section>
      <aside className={`sheet ${styles.form}`} aria-label={isAdding ? 'New fibre' : 'Fibre'}>
        {isAdding ? (
          <FibreForm key="new" fibre={null} onDone={(fibre) => fibre && open(fibre)} />
        ) : openFibre ? (
          <FibreForm key={openFibre.id} fibre={openFibre} onDone={() => undefined} />
        ) : (
          <p className={styles.empty}>Choose a fibre to see and change it.</p>
        )}
      </aside>
    </main>
  );
}

interface FibreTableProps {
  rows: readonly Fibre[];
  openId: string | null;
  onOpen: (fibre: Fibre) => void;
}

function FibreTable({ rows, openId, onOpen }: FibreTableProps) {
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th scope="col" colSpan={2}>
            Fibre
          </th>
          <th scope="col">Prepared as</th>
          <th scope="col" className={styles.right}>
            g per m
          </th>
          <th scope="col" className={styles.right}>
            per 100 g
          </th>
          <th scope="col" className={styles.right}>
            On hand
          </th>
        </tr>
      </thead>
      <tbody onKeyDown={moveBetweenRows}>
        {rows.map((fibre) => (
          <tr
            key={fibre.id}
            className={`${styles.row} ${fibre.id === openId ? styles.open : ''}`}
            onClick={() => onOpen(fibre)}
          >
            <td className={styles.swatch}>
              <FibreSwatch fibre={fibre} width={84} height={26} />
            </td>
            <td>
              <button
                type="button"
                className={`plain-button ${styles.name}`}
                aria-pressed={fibre.id === openId}
              >
                {fibre.name}
              </button>
            </td>
            <td>{PREPARATION_WORDS[fibre.preparation]}</td>
            <td className={styles.right}>
              {fibre.linearGPerM ?? (fibre.preparation === 'tops' ? <b className="red">unknown</b> : '')}
            </td>
            <td className={styles.right}>
              {fibre.pricePer100gMinor === null ? (
                <span className="quiet">no price</span>
              ) : (
                showMoney(fibre.pricePer100gMinor)
              )}
            </td>
            <td className={styles.right}>
              {fibre.onHandG === null ? (
                <span className="red">not counted</span>
              ) : (
                <b>{showGrams(fibre.onHandG)}</b>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const isMatch = (fibre: Fibre, text: string): boolean =>
  `${fibre.name} ${PREPARATION_WORDS[fibre.preparation]}`.toLowerCase().includes(text.trim().toLowerCase());

function moveBetweenRows(event: KeyboardEvent<HTMLElement>) {
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (step === 0) return;
  const buttons = [...event.currentTarget.querySelectorAll('button')];
  const next = buttons[buttons.indexOf(event.target as HTMLButtonElement) + step];
  if (!next) return;
  event.preventDefault();
  next.focus();
}
