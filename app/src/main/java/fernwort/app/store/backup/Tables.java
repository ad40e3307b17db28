package fernwort.app.store.backup;

import java.util.List;

/**
 * The tables of a backup, each after those it refers to. The passphrase is not among them: a backup
 * may be handed on, and what it is restored into keeps its own.
 */
final class Tables {

  static final List<String> ALL =
      List.of(
          "setting",
          "rig",
          "rig_version",
          "handle",
          "level",
          "journal",
          "diary",
          "sizing_entry",
          "answers",
          "job_run",
          "winter_sheet",
          "winter_tick",
          "run_step",
          "card",
          "automation",
          "live_signal",
          "live_alarm",
          "live_rule",
          "live_mean",
          "practice");

  private Tables() {}
}
