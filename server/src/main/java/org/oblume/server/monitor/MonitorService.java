package org.oblume.server.monitor;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.SceneService;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Through which curve the signals of a scene are read: its own, else its production's. */
@Service
@Transactional
public class MonitorService {

    private final MonitorCurveRepository curves;
    private final SceneService scenes;
    private final ProductionService productions;
    private final RecordJson json;

    MonitorService(MonitorCurveRepository curves, SceneService scenes, ProductionService productions, RecordJson json) {
        this.curves = curves;
        this.scenes = scenes;
        this.productions = productions;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public SignalCurve curve(long sceneId) {
        return used(sceneId).curve();
    }

    /** What a scene is read through, its own or not. */
    @Transactional(readOnly = true)
    public MonitorCurve used(long sceneId) {
        MonitorCurve own = curve(ofScene(sceneId));
        return own != null
                ? own
                : orUsual(curve(ofProduction(scenes.get(sceneId).productionId())));
    }

    @Transactional(readOnly = true)
    MonitorView view(long sceneId) {
        long productionId = scenes.get(sceneId).productionId();
        MonitorCurveEntity scene = ofScene(sceneId);
        MonitorCurveEntity production = ofProduction(productionId);
        MonitorCurve own = curve(scene);
        MonitorCurve usual = orUsual(curve(production));
        SignalCurve used = (own == null ? usual : own).curve();
        return new MonitorView(
                productionId, usual, production.version(), own, scene.version(), used.label(), used.say());
    }

    /**
     * @param curve or null for that of the production
     * @throws EditConflict when somebody else changed it since that version
     */
    void keepForScene(long sceneId, @Nullable MonitorCurve curve, long version) {
        scenes.get(sceneId);
        keep(ofScene(sceneId), curve, version);
    }

    /** @throws EditConflict when somebody else changed it since that version */
    void keepForProduction(long productionId, MonitorCurve curve, long version) {
        productions.get(productionId);
        keep(ofProduction(productionId), curve, version);
    }

    /** Takes what a file says that its scene is read through: as its own, unless its production is read so. */
    public void importCurve(long sceneId, @Nullable MonitorCurve said) {
        MonitorCurve curve = said == null ? MonitorCurve.USUAL : said;
        if (!curve.equals(used(sceneId))) {
            keepForScene(sceneId, curve, 0);
        }
    }

    private void keep(MonitorCurveEntity entity, @Nullable MonitorCurve curve, long version) {
        if (entity.version() != version) {
            throw new EditConflict(
                    "Someone changed the curve since you opened it. Look at theirs, then choose again.", curve(entity));
        }
        entity.choose(curve == null ? null : json.write(curve));
        curves.saveAndFlush(entity);
    }

    private MonitorCurveEntity ofScene(long id) {
        return curves.findBySceneId(id).orElseGet(() -> MonitorCurveEntity.ofScene(id));
    }

    private MonitorCurveEntity ofProduction(long id) {
        return curves.findByProductionId(id).orElseGet(() -> MonitorCurveEntity.ofProduction(id));
    }

    private @Nullable MonitorCurve curve(MonitorCurveEntity entity) {
        return entity.curve() == null ? null : json.read(entity.curve(), MonitorCurve.class);
    }

    private static MonitorCurve orUsual(@Nullable MonitorCurve curve) {
        return Objects.requireNonNullElse(curve, MonitorCurve.USUAL);
    }
}
