package fernwort.app.web;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * The styles, scripts, fonts and the icon that ship with the application, each under an address
 * that tells its content, to be kept for a year. Only these are looked for among the files: every
 * link on a page would be otherwise.
 */
@Configuration(proxyBeanMethods = false)
class OwnFiles implements WebMvcConfigurer {

  private static final String ROOT = "classpath:/static/";
  private static final Duration YEAR = Duration.ofDays(365);

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    serve(registry, ROOT, "/*.css", "/*.svg");
    serve(registry, ROOT + "js/", "/js/**");
    serve(registry, ROOT + "vendor/", "/vendor/**");
  }

  private static void serve(ResourceHandlerRegistry registry, String folder, String... patterns) {
    registry
        .addResourceHandler(patterns)
        .addResourceLocations(folder)
        .setCacheControl(CacheControl.maxAge(YEAR))
        .resourceChain(true)
        .addResolver(new VersionResourceResolver().addContentVersionStrategy("/**"));
  }
}
