@if ($recent !== [])
<p class="recent"><span class="quiet small">asked last</span> @foreach ($recent as $one)<a class="tool" href="{{ $one['address'] }}">{{ $one['words'] }}</a>@endforeach</p>
@endif
