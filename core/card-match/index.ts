export {
  type CardMatch,
  type ClipFault,
  clipFaults,
  type ClipFile,
  type ClipMatch,
  matchClips,
  type NotedTake,
} from './match';
