package fernwort.app.board;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.say.Message;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.support.StaticListableBeanFactory;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;
import org.thymeleaf.templateresolver.StringTemplateResolver;

class DrawnTest {

  private final SpringTemplateEngine engine = new SpringTemplateEngine();
  private final Drawn drawn =
      new Drawn(
          new StaticListableBeanFactory(Map.of("engine", engine))
              .getBeanProvider(ITemplateEngine.class));

  DrawnTest() {
    ClassLoaderTemplateResolver files = new ClassLoaderTemplateResolver();
    files.setPrefix("templates/");
    files.setSuffix(".html");
    files.setCheckExistence(true);
    files.setOrder(1);
    StringTemplateResolver text = new StringTemplateResolver();
    text.setOrder(2);
    engine.addTemplateResolver(files);
    engine.addTemplateResolver(text);
    engine.addDialect(drawn);
  }

  private static Drawing.Figure valve(String label, double angle) {
    return new Drawing.Figure(
        "v",
        "v",
        "valve",
        100,
        50,
        15,
        15,
        label,
        List.of(new Drawing.Text(label, 100, 80)),
        "middle",
        Message.NOTHING,
        "open",
        "shut",
        angle,
        false,
        "",
        0,
        Message.NOTHING,
        Message.NOTHING,
        "fresh");
  }

  @Test
  void aTemplatePutsAPartInAsItIsDrawn() {
    String page =
        engine.process(
            "<svg><g><g drawn:figure=\"${p}\"></g></g></svg>",
            new Context(Locale.ENGLISH, Map.of("p", valve("Hot & <cold>", 90))));

    assertThat(page)
        .startsWith("<svg><g>")
        .endsWith("</g></svg>")
        .contains("translate(100.0 50.0)", "rotate(90.0)", "Hot &amp; &lt;cold&gt;")
        .doesNotContain("th:", "drawn:", "<!--");
  }

  @Test
  void aLineIsPutInWithoutAnythingAroundIt() {
    Drawing.Pipe still = new Drawing.Pipe("l", "l", "L1", "M0 0L9 9", "fresh", "");
    Drawing.Pipe moving = new Drawing.Pipe("l", "l", "L1", "M0 0L9 9", "fresh", "forward");
    String page =
        engine.process(
            "<svg><g><g drawn:pipe=\"${one}\"></g></g>"
                + "<g><g drawn:pipe=\"${other}\"></g></g></svg>",
            new Context(Locale.ENGLISH, Map.of("one", still, "other", moving)));

    String walls =
        "<path class=\"pipe-wall\" d=\"M0 0L9 9\" /><path class=\"pipe-core\" d=\"M0 0L9 9\" />";
    assertThat(page.replaceAll("\\s+(?=<|$)", ""))
        .isEqualTo(
            "<svg><g>%s</g><g>%s<path class=\"pipe-flow\" d=\"M0 0L9 9\" /></g></svg>"
                .formatted(walls, walls));
  }

  @Test
  void whatLooksTheSameIsWrittenOnce() {
    assertThat(figure("A", 0)).isSameAs(figure("A", 0));
    assertThat(figure("A", 90)).isNotEqualTo(figure("A", 0));
    assertThat(figure("B", 0)).contains("B").doesNotContain(">A<");
  }

  private String figure(String label, double angle) {
    return drawn.svg("figure", valve(label, angle));
  }
}
