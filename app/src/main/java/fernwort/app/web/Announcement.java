package fernwort.app.web;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Prints the address once it answers. */
@Component
class Announcement {

  private final String address;
  private int port;

  Announcement(@Value("${server.address:127.0.0.1}") String address) {
    this.address = address;
  }

  @EventListener
  void listening(WebServerInitializedEvent event) {
    port = event.getWebServer().getPort();
  }

  @EventListener
  void ready(ApplicationReadyEvent event) {
    if (port > 0) {
      System.out.printf("Fernwort is at http://%s:%d (Ctrl+C stops it)%n", address, port);
    }
  }
}
