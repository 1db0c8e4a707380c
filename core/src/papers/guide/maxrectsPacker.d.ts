/** As a module of today: what the package names first is not read by its names in Node. */
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export { MaxRectsPacker } from 'maxrects-packer';
}
