import { Box3, DirectionalLight, MathUtils, OrthographicCamera, PMREMGenerator, Scene, Spherical, Vector3, WebGLRenderer } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { RoomEnvironment } from 'three/examples/jsm/environments/RoomEnvironment.js';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';

/** Shows a scene in a room of the page and gives back what ends it. */
export async function show(room, bytes, angles, moved, step) {
    const { scene: piece } = await new GLTFLoader().parseAsync(bytes, '');
    const renderer = new WebGLRenderer({ antialias: true, alpha: true });
    const scene = new Scene();
    scene.environment = new PMREMGenerator(renderer).fromScene(new RoomEnvironment(), 0.04).texture;
    // Light from the upper left, as the drawings have it.
    const sun = new DirectionalLight(0xffffff, 0.9);
    sun.position.set(-1, 1.4, 1.6);
    scene.environmentIntensity = 0.6;
    scene.add(piece, sun);
    const box = new Box3().setFromObject(piece);
    const middle = box.getCenter(new Vector3());
    const reach = box.getSize(new Vector3()).length() / 2;
    const camera = new OrthographicCamera();
    const place = new Spherical(4 * reach, angles?.phi ?? Math.PI / 2, angles?.theta ?? 0);
    camera.position.setFromSpherical(place).add(middle);
    const controls = new OrbitControls(camera, renderer.domElement);
    controls.target.copy(middle);
    controls.enablePan = false;
    camera.near = 0;
    camera.far = 8 * reach;
    const draw = () => renderer.render(scene, camera);
    const fit = () => {
        const [wide, high] = [room.clientWidth || 1, room.clientHeight || 1];
        const half = reach * 1.04;
        const [x, y] = wide > high ? [half * wide / high, half] : [half, half * high / wide];
        Object.assign(camera, { left: -x, right: x, top: y, bottom: -y });
        camera.updateProjectionMatrix();
        renderer.setPixelRatio(window.devicePixelRatio);
        renderer.setSize(wide, high);
        draw();
    };
    controls.addEventListener('change', () => {
        const now = new Spherical().setFromVector3(camera.position.clone().sub(middle));
        room.dataset.turned = String(Math.round(MathUtils.radToDeg(now.theta)));
        moved({ phi: now.phi, theta: now.theta });
        draw();
    });
    const turn = (theta, phi) => {
        const now = new Spherical().setFromVector3(camera.position.clone().sub(middle));
        now.theta += theta;
        now.phi = MathUtils.clamp(now.phi + phi, 0.05, Math.PI - 0.05);
        camera.position.setFromSpherical(now).add(middle);
        controls.update();
    };
    const keys = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] };
    const key = (event) => {
        if (keys[event.key]) {
            event.preventDefault();
            event.stopPropagation();
            turn(...keys[event.key]);
        }
    };
    room.textContent = '';
    room.append(renderer.domElement);
    room.addEventListener('keydown', key);
    const watch = new ResizeObserver(fit);
    watch.observe(room);
    controls.update();
    fit();
    room.focus({ preventScroll: true });
    return () => {
        watch.disconnect();
        controls.dispose();
        renderer.dispose();
        room.removeEventListener('keydown', key);
    };
}
