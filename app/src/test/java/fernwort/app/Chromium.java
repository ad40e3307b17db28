package fernwort.app;

import com.microsoft.playwright.BrowserType;
import java.nio.file.Path;
import java.util.List;

/** How the tests start Chromium: without a monitor and without a network. */
public final class Chromium {

  private Chromium() {}

  /** Returns the options to launch it with. */
  public static BrowserType.LaunchOptions options() {
    return new BrowserType.LaunchOptions()
        .setExecutablePath(Path.of("/usr/bin/chromium"))
        .setArgs(
            List.of(
                "--no-sandbox",
                "--disable-gpu",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--no-first-run"));
  }
}
