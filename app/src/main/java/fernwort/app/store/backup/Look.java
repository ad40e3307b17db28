package fernwort.app.store.backup;

/** Looks at what a backup holds of a rig; each throws a refusal when it cannot be read. */
public interface Look {

  /** Looks at the description of a rig. */
  void rig(String description);

  /** Looks at how its people live. */
  void habits(String text);
}
