/** A column of a table; what stands in it is the slot of its key. */
export interface TableColumn<K extends string = string> {
  readonly key: K;
  readonly label: string;
  /** Fixed, px. */
  readonly width?: number;
  /** At least, px; takes what is left over. */
  readonly minWidth?: number;
  /** Left out where the window is narrow. */
  readonly wideOnly?: boolean;
  /** Figures stand at the end. */
  readonly figure?: boolean;
}
