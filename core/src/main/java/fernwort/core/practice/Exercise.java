package fernwort.core.practice;

import fernwort.core.rig.State;

/** Something to be practised on a copy of a rig. */
public sealed interface Exercise permits Drill, WhatIf, FindIt, Emergency {

  /** Returns how handles and levels are. */
  State from();
}
