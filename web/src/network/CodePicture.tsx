import { QRCode } from 'antd';
import styles from './CodePicture.module.css';

/** A code as a picture for a camera (ISO/IEC 18004): dark on light, whatever the look. @param size px */
export const CodePicture = ({ value, size }: { value: string; size: number }) => (
  <div className={styles.picture} role="img" aria-label="The same as a picture for a camera">
    <span aria-hidden>
      <QRCode type="svg" size={size} bordered={false} color="#000000" bgColor="#ffffff" value={value} />
    </span>
  </div>
);
