import { faceCommand } from './faceCommand.ts';
import { onStandardError } from './readComputed.ts';

/** `npm run -s face -- FILE.dripline.json ... --out FILE.png` */
process.exitCode = faceCommand(process.argv.slice(2), onStandardError);
