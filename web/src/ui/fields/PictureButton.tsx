import { Button } from 'antd';
import { type ReactNode, useRef } from 'react';

interface PictureButtonProps {
  /** What the picture is of, for those who cannot see where it stands. */
  label: string;
  size?: 'small' | 'middle' | 'large';
  onPicture: (picture: File) => void;
  children: ReactNode;
}

/** A picture out of a file; on a tablet or a phone, taken now. */
export function PictureButton({ label, size = 'middle', onPicture, children }: PictureButtonProps) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={file}
        type="file"
        accept="image/*"
        capture="environment"
        className="visually-hidden"
        tabIndex={-1}
        aria-label={label}
        onChange={({ target }) => {
          const [picture] = target.files ?? [];
          // The same one may be chosen again.
          target.value = '';
          if (picture) onPicture(picture);
        }}
      />
      <Button size={size} onClick={() => file.current?.click()}>
        {children}
      </Button>
    </>
  );
}
