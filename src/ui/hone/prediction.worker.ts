import { type PredictionInput, predictCut } from '@/core/hone/predicted-cut';

addEventListener('message', ({ data }: MessageEvent<PredictionInput>) => postMessage(predictCut(data)));
