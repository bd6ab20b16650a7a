export { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
export { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
