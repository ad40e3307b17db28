package fernwort.app.board;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
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
 * What is drawn of each part and line, for templates: {@code <g drawn:figure="${p}" />}, and {@code
 * drawn:pipe} in the same way. A turn of a handle changes a few of them and draws them all: those
 * that look as before are not written anew. Each takes the element's place as it is: where there
 * are words in it, what is around it has to say that they are typed.
 */
@Component
class Drawn extends AbstractProcessorDialect {

  private static final String NAME = "drawn";

  /** Each of them is drawn by the template of its name, in which it is {@code p}. */
  private static final Set<String> PIECES = Set.of("figure", "pipe");

  /** The parts and lines of fifty rigs or so, each in a few positions. */
  private static final int MOST = 10_000;

  private final ObjectProvider<ITemplateEngine> engine;
  private final Cache<Object, String> written = Caffeine.newBuilder().maximumSize(MOST).build();

  /**
   * Begins with nothing.
   *
   * @param engine which takes this up, and is asked for only when there is something to write
   */
  Drawn(ObjectProvider<ITemplateEngine> engine) {
    super(NAME, NAME, StandardTextTagProcessor.PRECEDENCE);
    this.engine = engine;
  }

  /**
   * Returns a piece as SVG.
   *
   * @param name which kind of piece it is
   * @param piece all that it is drawn from
   */
  String svg(String name, Object piece) {
    return written.get(piece, p -> write(name, p));
  }

  private String write(String name, Object piece) {
    return engine
        .getObject()
        .process("board/" + name, new Context(Locale.ENGLISH, Map.of("p", piece)));
  }

  @Override
  public Set<IProcessor> getProcessors(String prefix) {
    return PIECES.stream().map(name -> new Piece(prefix, name)).collect(Collectors.toSet());
  }

  private final class Piece extends AbstractStandardExpressionAttributeTagProcessor {

    private final String name;

    Piece(String prefix, String name) {
      super(TemplateMode.HTML, prefix, name, StandardTextTagProcessor.PRECEDENCE, true);
      this.name = name;
    }

    @Override
    protected void doProcess(
        ITemplateContext context,
        IProcessableElementTag tag,
        AttributeName attribute,
        String value,
        Object piece,
        IElementTagStructureHandler structure) {
      structure.replaceWith(svg(name, piece), false);
    }
  }
}
