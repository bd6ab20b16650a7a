export { assignCards, maxUncopiedFootage } from './assign';
export { type CardFill, plannableBytes, videoBytes, writeNeeded, writesFastEnough } from './bytes';
export {
  atRiskGB,
  type CardLife,
  cardsNow,
  type CardState,
  lifeOf,
  moveFault,
  stateOf,
  wantsReason,
} from './life';
export { CLIP_WORDS, clipName, wordsOf } from './naming';
export { offload, PLAIN_READER_MBS, type ToCopy } from './offload';
