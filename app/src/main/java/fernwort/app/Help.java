package fernwort.app;

import java.util.Arrays;
import java.util.stream.Collectors;

/** What the command line is told on --help. */
final class Help {

  private static final String COMMANDS =
      """
      fernwort start           with your own data folder, empty the first time
      fernwort demo            with three made-up rigs to play with
      fernwort backup FILE     write everything that is kept to a new file, also while it runs
      fernwort restore FILE    put a backup in the place of everything, which is kept as a copy
      fernwort passphrase      set the passphrase that listening beyond this machine asks for
      fernwort doctor          what a helper would ask for, without anything private
      fernwort sim RIG [BROKER [SPEED]]  a simulated rig that speaks MQTT: tern, or a file
      fernwort version         which Fernwort this is

      Each of these can be set by an option, by a variable such as FERNWORT_PORT, or by a line such as
      port = 8081 in the file fernwort.conf of the data folder (or --settings FILE); the option goes
      first.

      """;

  private Help() {}

  static String text() {
    return COMMANDS
        + Arrays.stream(Setting.values())
            .map(s ->
                "  %-24s %s (%s)"
                    .formatted(s.option() + (s.isSwitch() ? "" : " …"), s.what(), s.usual()))
            .collect(Collectors.joining("\n"));
  }
}
