package fernwort.app.board;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.processor.AbstractStandardExpressionAttributeTagProcessor;
import org.thymeleaf.standard.processor.StandardTextTagProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * What is drawn of each part, for templates: {@code <g data-typed drawn:figure="${p}"></g>}. A turn
 * of a handle changes a few parts and draws them all: those that look as before are not written
 * anew. It is put in as it is, so that what is around it has to say that its words are typed.
 */
@Component
class Drawn extends AbstractProcessorDialect {

  private static final String NAME = "drawn";

  /** The parts of fifty rigs or so, each in a few positions. */
  private static final int MOST = 5_000;

  private final ObjectProvider<ITemplateEngine> engine;
  private final Cache<Drawing.Figure, String> written =
      Caffeine.newBuilder().maximumSize(MOST).build();

  /**
   * Begins with nothing.
   *
   * @param engine which takes this up, and is asked for only when there is something to write
   */
  Drawn(ObjectProvider<ITemplateEngine> engine) {
    super(NAME, NAME, StandardTextTagProcessor.PRECEDENCE);
    this.engine = engine;
  }

  /** Returns a part's figure and label as SVG. */
  String figure(Drawing.Figure part) {
    return written.get(part, this::write);
  }

  private String write(Drawing.Figure part) {
    return engine
        .getObject()
        .process("board/figure", new Context(Locale.ENGLISH, Map.of("p", part)));
  }

  @Override
  public Set<IProcessor> getProcessors(String prefix) {
    return Set.of(new FigureProcessor(prefix));
  }

  private final class FigureProcessor extends AbstractStandardExpressionAttributeTagProcessor {

    FigureProcessor(String prefix) {
      super(TemplateMode.HTML, prefix, "figure", StandardTextTagProcessor.PRECEDENCE, true);
    }

    @Override
    protected void doProcess(
        ITemplateContext context,
        IProcessableElementTag tag,
        AttributeName name,
        String value,
        Object part,
        IElementTagStructureHandler structure) {
      structure.setBody(figure((Drawing.Figure) part), false);
    }
  }
}
