import type { Problem } from '@lanakit/core/problems';
import {
  AMOUNT_BOUNDS,
  blankLot,
  checkLot,
  type Fibre,
  FIBRE_BOUNDS,
  isColour,
  type Lot,
  type LotInput,
  lotInUse,
  type LotOverrides,
  numbersOf,
  type Preparation,
} from '@lanakit/core/shelf';
import { problemWords } from '@lanakit/core/words';
import { Button } from 'antd';
import { useState } from 'react';
import { DayField } from '../ui/fields/DayField.tsx';
import { firstUnread } from '../ui/fields/firstUnread.ts';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { showGrams } from '../words/show.ts';
import { CountedNowField } from './CountedNowField.tsx';
import { ColourField, MoneyField, TextField } from './fields.tsx';
import { NUMBER_WORDS } from './numberWords.ts';
import { WeighHelper } from './WeighHelper.tsx';
import styles from './Panel.module.css';
import { perform } from '../api/mutations/mutation.ts';
import { receiveLot, saveLot } from '../api/mutations/shelf.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { problemsBeside } from '../ui/fields/problemsBeside.ts';

interface LotsSectionProps {
  itemId: string;
  lots: readonly Lot[];
  preparation: Preparation;
  /** Whose lots they are; null for a blend, whose lots come from blending and are not received. */
  fibre: Fibre | null;
}

/** The lots of a fibre or blend: what is there of each, and what each has of its own. */
export function LotsSection({ itemId, lots, preparation, fibre }: LotsSectionProps) {
  const [openId, setOpenId] = useState<string | null>(null);
  const inUse = lotInUse({ lots });
  return (
    <section className={styles.section} aria-label="Lots">
      <div className={styles.sectionHead}>
        <h3>Lots</h3>
        {fibre && openId !== 'new' && (
          <Button size="small" onClick={() => setOpenId('new')}>
            Receive a lot
          </Button>
        )}
      </div>
      {lots.length === 0 && openId !== 'new' && (
        <p className="quiet">None yet: nothing of it was ever counted.</p>
      )}
      {openId === 'new' && (
        <LotForm
          itemId={itemId}
          lot={null}
          others={lots}
          preparation={preparation}
          fibre={fibre}
          onDone={() => setOpenId(null)}
        />
      )}
      {lots.map((lot) => (
        <div key={lot.id} className={styles.lot}>
          <div className={styles.lotLine}>
            <span>
              <button
                type="button"
                className="plain-button"
                aria-expanded={openId === lot.id}
                onClick={() => setOpenId(openId === lot.id ? null : lot.id)}
              >
                <b>{lot.name}</b>
              </button>{' '}
              <span className="quiet small">
                {[lot.place, lot.id === inUse?.id ? 'in use' : ''].filter((word) => word !== '').join(' · ')}
              </span>
            </span>
            <b className="num">
              {lot.onHandG === null ? <span className="red">not counted</span> : showGrams(lot.onHandG)}
            </b>
          </div>
          {lot.note !== '' && <p className="quiet small">“{lot.note}”</p>}
          {openId === lot.id && (
            <>
              <CountedNowField
                itemId={itemId}
                lotId={lot.id}
                unit="g"
                onHand={lot.onHandG}
                label={`Count of ${lot.name}`}
              />
              <LotForm
                itemId={itemId}
                lot={lot}
                others={lots}
                preparation={preparation}
                fibre={fibre}
                onDone={() => setOpenId(null)}
              />
            </>
          )}
        </div>
      ))}
    </section>
  );
}

interface LotFormProps extends Pick<LotsSectionProps, 'fibre'> {
  itemId: string;
  lot: Lot | null;
  others: readonly Lot[];
  preparation: Preparation;
  onDone: () => void;
}

/** A lot as it is being written, and what is wrong with it. */
function useLotForm({ itemId, lot, others, onDone }: LotFormProps) {
  const [input, setInput] = useState<LotInput>(() => (lot ? lotInputOf(lot) : blankLot('')));
  const [receivedG, setReceivedG] = useState<number | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const attempt = useAttempt();
  const set = (change: Partial<LotInput>) => {
    setInput((before) => ({ ...before, ...change }));
    setProblems([]);
  };
  const override = (change: Partial<LotOverrides>) => set({ overrides: { ...input.overrides, ...change } });
  const problemAt = (pointer: string) => {
    const problem = problems.find((candidate) => candidate.pointer === pointer);
    return problem ? problemWords(problem) : null;
  };
  const save = async () => {
    const otherNames = others.filter(({ id }) => id !== lot?.id).map(({ name }) => name);
    const found = checkLot(input, otherNames);
    setProblems(found);
    if (found.length > 0) return;
    await attempt(async () => {
      await perform(lot ? saveLot(lot.id, lot.version, input) : receiveLot(itemId, input, receivedG), onDone);
      return { text: `${input.name} is saved.` };
    }, problemsBeside(setProblems));
  };
  return {
    input,
    set,
    override,
    receivedG,
    receive: (massG: number | null) => {
      setReceivedG(massG);
      setProblems([]);
    },
    problemAt,
    save,
  };
}

function LotForm(props: LotFormProps) {
  const { lot, preparation, fibre, onDone } = props;
  const { input, set, override, receivedG, receive, problemAt, save } = useLotForm(props);
  const isOwnColour = input.overrides.colour !== null;
  return (
    <form
      className={styles.form}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        const unread = firstUnread(event.currentTarget);
        if (unread) unread.focus();
        else void save();
      }}
    >
      <div className={styles.two}>
        <TextField
          label="Lot"
          value={input.name}
          maxLength={60}
          placeholder="spring"
          autoFocus={lot === null}
          problem={problemAt('/name')}
          onValue={(name) => set({ name })}
        />
        {lot === null && (
          <NumberField
            label="Received"
            value={receivedG}
            bounds={AMOUNT_BOUNDS}
            allowEmpty
            suffix="g"
            problem={problemAt('/receivedG')}
            onValue={receive}
          />
        )}
        <TextField
          label="Place"
          value={input.place}
          maxLength={60}
          placeholder="drawer 3"
          onValue={(place) => set({ place })}
        />
        <DayField
          label="Came on"
          day={input.receivedOn}
          allowEmpty
          problem={problemAt('/receivedOn')}
          onDay={(receivedOn) => set({ receivedOn })}
        />
        <MoneyField
          label="Paid per 100 g"
          minor={input.pricePer100gMinor}
          boundsMinor={FIBRE_BOUNDS.pricePer100gMinor}
          problem={problemAt('/pricePer100gMinor')}
          onValue={(pricePer100gMinor) => set({ pricePer100gMinor })}
        />
      </div>
      <TextField
        label="Note"
        value={input.note}
        maxLength={400}
        isLong
        hint="prints on what is packed from it"
        placeholder="short staple, hold hands close"
        onValue={(note) => set({ note })}
      />
      <p className="quiet small">Where this lot differs from the fibre; empty: as the fibre.</p>
      <div className={styles.two}>
        <ColourField
          label="Its colour"
          value={isOwnColour ? input.overrides.colour : ''}
          problem={problemAt('/overrides/colour')}
          onValue={(colour) => override({ colour: colour === '' ? null : colour })}
        />
        {numbersOf(preparation).map((name) => (
          <NumberField
            key={name}
            label={NUMBER_WORDS[name].label}
            value={input.overrides[name]}
            bounds={FIBRE_BOUNDS[name]}
            allowEmpty
            suffix={NUMBER_WORDS[name].unit}
            problem={problemAt(`/overrides/${name}`)}
            onValue={(value) => override({ [name]: value })}
          />
        ))}
      </div>
      <WeighHelper
        names={numbersOf(preparation)}
        onRecord={(name) => input.overrides[name] ?? fibre?.[name] ?? null}
        onUse={(name, value) => override({ [name]: value })}
      />
      <div>
        <Button htmlType="submit" disabled={isOwnColour && !isColour(input.overrides.colour ?? '')}>
          {lot ? 'Save the lot' : 'Put the lot away'}
        </Button>{' '}
        <Button onClick={onDone}>{lot ? 'Close' : 'Leave it'}</Button>
      </div>
    </form>
  );
}

const lotInputOf = ({ id: _id, version: _version, onHandG: _onHand, ...input }: Lot): LotInput => input;
