import { quoteOf } from '@lanakit/core/commissions';
import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import { Button } from 'antd';
import { useMemo } from 'react';
import { counted, showMinutes, showMoney } from '../words/show.ts';
import styles from './Booklet.module.css';

interface ForAShopProps {
  /** As it is made. */
  build: Pattern;
  wool: Wool;
  /** Where the server sets it in a form. */
  at: (form: string) => string;
}

/** What a page of a shop says; what it costs stands apart, and in no file. */
export function ForAShop({ build, wool, at }: ForAShopProps) {
  const { material, minutes } = useMemo(() => quoteOf(build, 1, wool), [build, wool]);
  return (
    <>
      <h2>For a page of a shop</h2>
      <div className={styles.ways}>
        <Button href={at('listing-text')} download>
          Facts as text
        </Button>
        <Button href={at('listing-html')} download>
          Facts as HTML
        </Button>
      </div>
      <p className="quiet">
        For you alone: one takes {material.unknownCount > 0 ? 'at least ' : ''}
        {showMoney(Math.round(material.minor))} of wool and things
        {material.unknownCount > 0
          ? ` (${counted(material.unknownCount, 'thing')} without a price)`
          : ''} and {minutes.unknownCount > 0 ? 'at least ' : ''}
        {showMinutes(Math.round(minutes.likely))} of making. No file says so.
      </p>
    </>
  );
}
