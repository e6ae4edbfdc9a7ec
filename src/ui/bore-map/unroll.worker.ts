import { unrolledPicture } from './unrolled-picture';

addEventListener('message', unrolledPicture);
