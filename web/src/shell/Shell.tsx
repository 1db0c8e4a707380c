import { lazy, Suspense, useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { TermId } from '@lanakit/core/words';
import { askedTerm } from './help/askedTerm.ts';
import { NavLink, Outlet, useLocation } from 'react-router';
import { isDemoStudio } from '../api/studio.ts';
import { useWhoComes } from '../api/whoComes.ts';
import { DemoRibbon } from './DemoRibbon.tsx';
import { NotForThisDevice } from './NotForThisDevice.tsx';
import { NoticeProvider } from './Notice.tsx';
import { isPlaceFor, placesOf } from './places.ts';
import styles from './Shell.module.css';
import { useTour } from './tour/tourStore.ts';
import { TopSlotProvider } from './TopSlot.tsx';
import { UnreadSlip } from './UnreadSlip.tsx';
import { useScannerChoice } from '../scan/scannerChoice.ts';
import { useRole } from './useRole.ts';

const loadPalette = async () => ({ default: (await import('./Palette.tsx')).Palette });
const Palette = lazy(loadPalette);
const LogIn = lazy(async () => ({ default: (await import('./LogIn.tsx')).LogIn }));
const TourSlip = lazy(async () => ({ default: (await import('./tour/TourSlip.tsx')).TourSlip }));
const ScanAnywhere = lazy(async () => ({ default: (await import('./ScanAnywhere.tsx')).ScanAnywhere }));
const HelpHere = lazy(async () => ({ default: (await import('./help/HelpHere.tsx')).HelpHere }));

/** A place comes first; then what may open over it is fetched. */
const PALETTE_AFTER_MS = 1200;

/** The top bar over every place, and what opens from anywhere. */
export function Shell() {
  const [opened, setOpened] = useState<'palette' | 'help' | null>(null);
  const [asked, setAsked] = useState<TermId | null>(null);
  const [slot, setSlot] = useState<HTMLElement | null>(null);
  // By the sign, not by the place of the key: where / is depends on the keyboard.
  useHotkeys('/', () => setOpened('palette'), { preventDefault: true, useKey: true });
  const help = () => {
    setAsked(askedTerm());
    setOpened('help');
  };
  // What is typed right after its key must not come before its field.
  useEffect(() => {
    // Where nobody answers it is fetched when it is asked for.
    const timer = setTimeout(() => void loadPalette().catch(() => undefined), PALETTE_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  const explain = (id: TermId) => {
    setAsked(id);
    setOpened('help');
  };
  useHotkeys(['?', 'shift+?'], help, { preventDefault: true, useKey: true });
  useHotkeys('f1', help, { preventDefault: true, enableOnFormTags: true });
  useHotkeys('mod+k', () => setOpened('palette'), { preventDefault: true, enableOnFormTags: true });
  const isAsked = useWhoComes((who) => who.isAsked);
  const { role, session, isWaiting } = useRole();
  const isOwner = role === 'owner';
  const { pathname } = useLocation();
  const isOnTour = useTour(({ stop }) => stop !== null);
  const hasScanner = useScannerChoice(({ scannerId }) => scannerId !== null);
  const close = () => setOpened(null);
  return (
    <TopSlotProvider value={slot}>
      <NoticeProvider>
        <div className={`${styles.shell} ${isAsked ? styles.asked : ''}`}>
          <header className={`${styles.bar} no-print`}>
            <NavLink to={isOwner ? '/' : '/runs'} className={styles.mark ?? ''}>
              Lanakit
            </NavLink>
            <nav aria-label="Places">
              {placesOf(role).map((place) => (
                <NavLink
                  key={place.to}
                  to={place.to}
                  end={place.to === '/'}
                  className={({ isActive }) => `${styles.place} ${isActive ? styles.here : ''}`}
                >
                  {place.name}
                </NavLink>
              ))}
            </nav>
            <div className={styles.right}>
              {isOwner ? (
                <button type="button" className={styles.find} onClick={() => setOpened('palette')}>
                  Find or do… <kbd>/</kbd>
                </button>
              ) : (
                <span className="quiet small">{session?.deviceName}</span>
              )}
              <button type="button" className={styles.ask} aria-label="Help on this place" onClick={help}>
                ?
              </button>
              <div ref={setSlot} className={styles.slot} />
            </div>
          </header>
          {hasScanner && !isWaiting && role !== 'learner' && (
            <Suspense>
              <ScanAnywhere />
            </Suspense>
          )}
          {isDemoStudio && <DemoRibbon />}
          {isOwner && <UnreadSlip />}
          {isOnTour && (
            <Suspense>
              <TourSlip />
            </Suspense>
          )}
          {isAsked && (
            <Suspense>
              <LogIn />
            </Suspense>
          )}
          <div className="as-contents" inert={isAsked}>
            {!isWaiting && (isPlaceFor(role, pathname) ? <Outlet /> : <NotForThisDevice role={role} />)}
          </div>
          <Suspense>
            {opened === 'palette' && isOwner && <Palette onClose={close} onHelp={help} onWord={explain} />}
            {opened === 'help' && <HelpHere asked={asked} onClose={close} />}
          </Suspense>
        </div>
      </NoticeProvider>
    </TopSlotProvider>
  );
}
